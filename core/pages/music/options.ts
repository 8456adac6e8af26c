import * as v from 'valibot';
import { enumOf, exactObject, integerBetween, numberBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSettings } from '../paper/heading.ts';
import { lookSettings } from '../paper/settings.ts';

/** What staves belong together, from above. `tab` has so many strings instead of five lines. */
export const SYSTEMS = {
  none: ['none'],
  treble: ['treble'],
  bass: ['bass'],
  alto: ['alto'],
  tenor: ['tenor'],
  percussion: ['percussion'],
  grand: ['treble', 'bass'],
  'guitar-tab': ['guitar'],
  'ukulele-tab': ['ukulele'],
  'bass-tab': ['bass-guitar'],
  'treble-and-guitar-tab': ['treble', 'guitar'],
  'voice-and-piano': ['treble', 'treble', 'bass'],
} as const satisfies Record<string, readonly StaffKind[]>;

export type StaffKind =
  | 'none'
  | 'treble'
  | 'bass'
  | 'alto'
  | 'tenor'
  | 'percussion'
  | 'guitar'
  | 'ukulele'
  | 'bass-guitar';

/** Lines of tablature: strings of the instrument. */
export const STRINGS: Partial<Record<StaffKind, number>> = { guitar: 6, ukulele: 4, 'bass-guitar': 4 };

export const options = exactObject({
  clef: setting(enumOf(Object.keys(SYSTEMS) as (keyof typeof SYSTEMS)[]), 'none', {
    label: 'Clef',
    values: {
      none: 'None',
      treble: 'Treble',
      bass: 'Bass',
      alto: 'Alto',
      tenor: 'Tenor',
      percussion: 'Percussion',
      grand: 'Grand staff',
      'guitar-tab': 'Guitar tablature',
      'ukulele-tab': 'Ukulele tablature',
      'bass-tab': 'Bass tablature',
      'treble-and-guitar-tab': 'Treble and guitar tablature',
      'voice-and-piano': 'Voice and piano',
    },
  }),
  staves: setting(integerBetween(4, 16), 10, {
    label: 'Staves on a page',
    help: 'Counted singly; those that belong together stay on one page.',
  }),
  staffHeight: setting(numberBetween(4, 14), 7, { label: 'Height of a staff', unit: 'mm', step: 0.5 }),
  bars: setting(integerBetween(0, 8), 0, { label: 'Bars in a line', help: '0 for none.' }),
  chords: setting(enumOf(['none', 'names', 'guitar', 'ukulele']), 'none', {
    label: 'Above each bar',
    values: {
      none: 'Nothing',
      names: 'Boxes for chord names',
      guitar: 'Chord boxes, six strings',
      ukulele: 'Chord boxes, four strings',
    },
  }),
  lyrics: setting(v.boolean(), false, { label: 'Line for words under each system' }),
  ...headingSettings(),
  ...lookSettings(0.35),
});

export type MusicOptions = v.InferOutput<typeof options>;
