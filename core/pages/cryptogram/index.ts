import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { drawCryptogramPage, drawCryptogramSolution } from './draw.ts';
import {
  type CryptogramItem,
  fillCryptogram,
  inspectCryptogram,
  inspectCryptograms,
  pinnedCryptogram,
} from './fill.ts';
import { type CryptogramOptions, cryptogramOptions, cryptogramPin } from './options.ts';
import { cryptogramTrial } from './trial.ts';

/** Of the small page by which it is offered. */
const SHOWN =
  'A swarm of bees in May is worth a load of hay; a swarm of bees in June is worth a silver spoon. | Old rhyme';

export const cryptogram = defineKind<CryptogramOptions, CryptogramItem>({
  id: 'cryptogram',
  version: 1,
  later: { heading: '', oneReading: false },
  name: 'Cryptogram',
  purpose: 'Sayings in which each letter stands for another one, with solutions.',
  family: 'Puzzles',
  samples: [{ name: 'Cryptogram', options: { oneReading: true }, shown: { texts: SHOWN } }],
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  inHouseFaces: () => true,
  options: cryptogramOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  prepareItems: async ({ oneReading }) => {
    if (oneReading) await loadVocabularies();
  },
  fillSteps: fillCryptogram,
  pin: { schema: cryptogramPin, of: pinnedCryptogram },
  data: ({ text, credit, cipher, key, given }) => ({
    text,
    cipher,
    key,
    given,
    ...(credit ? { credit } : {}),
  }),
  formats: [
    {
      id: 'text',
      name: 'Text',
      ending: 'txt',
      between: '\n',
      write: ({ cipher, credit }, { label }) => `${label}\n${cipher}\n${credit ? `— ${credit}\n` : ''}`,
    },
  ],
  told: ({ given }) => `${given.length} ${given.length === 1 ? 'letter' : 'letters'} given`,
  trial: cryptogramTrial,
  draw: drawCryptogramPage,
  solution: { box: drawCryptogramSolution },
  inspect: inspectCryptogram,
  inspectSection: inspectCryptograms,
  sameAs: ({ cipher }) => cipher,
});
