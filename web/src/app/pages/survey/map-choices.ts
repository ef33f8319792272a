import { CAUTIONS, CONNECTION_KINDS, STATIONS, STEP_HEIGHTS, SYSTEMS, ZONES } from '@brisk/core/connection-map';
import { KIND_WORDS, SYSTEM_WORDS, ZONE_WORDS, HEIGHT_WORDS, STATION_WORDS } from '@brisk/core/words';
import { choicesOf, type Choice } from '../../ui/choice';
import { CAUTION_NAMES } from '../../words/trade-words';

export const KIND_CHOICES = choicesOf(KIND_WORDS, CONNECTION_KINDS);
export const SYSTEM_CHOICES = choicesOf(SYSTEM_WORDS, SYSTEMS);
export const STATION_CHOICES = choicesOf(STATION_WORDS, STATIONS);
export const HEIGHT_CHOICES = choicesOf(HEIGHT_WORDS, STEP_HEIGHTS);
export const ZONE_CHOICES = choicesOf(ZONE_WORDS, ZONES);
export const CAUTION_CHOICES = choicesOf(CAUTION_NAMES, CAUTIONS);

export const HANDS_CHOICES: readonly Choice<1 | 2>[] = [
  { value: 1, words: 'One' },
  { value: 2, words: 'Two' },
];
