/// <reference lib="webworker" />
import { expose } from 'comlink';
import { priceWork } from './price-work';

expose(priceWork);
