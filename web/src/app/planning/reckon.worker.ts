/// <reference lib="webworker" />
import { expose } from 'comlink';
import { nowOrLater } from '@brisk/core/economics';
import type { AskedBoard, ReckonWork } from './reckoning';

expose({
  reckon: ({ plan, decisions, terms }: AskedBoard) => nowOrLater(plan, decisions, terms),
} satisfies ReckonWork);
