/// <reference lib="webworker" />
import { expose } from 'comlink';
import { nowOrLater } from '@brisk/core/economics';
import { spliceList } from '@brisk/core/pin-tables';
import type { AskedBoard, ReckonWork } from './reckoning';

expose({
  reckon: ({ plan, decisions, terms }: AskedBoard) => nowOrLater(plan, decisions, terms),
  splice: spliceList,
} satisfies ReckonWork);
