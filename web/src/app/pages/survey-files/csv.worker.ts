/// <reference lib="webworker" />
import { expose } from 'comlink';
import { sheetWork } from './sheet-work';

expose(sheetWork);
