import { BETWEEN } from './lexicon/between';
import { PLAYED } from './lexicon/played';
import { REST } from './lexicon/rest';
import type { Row } from './lexicon/sense';
import { SOURCES } from './lexicon/sources';

/** All rows; of two that are said alike the first is meant. A new word is a new one in a row, a new thing a new row. */
export const LEXICON: readonly Row[] = [...PLAYED, ...SOURCES, ...BETWEEN, ...REST];
