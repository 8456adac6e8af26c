import * as v from 'valibot';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { writingHeight } from '../paper/writing-heights.ts';

export const options = exactObject({
  what: setting(enumOf(['letters', 'numbers', 'first-words', 'list']), 'letters', {
    label: 'To trace',
    values: {
      letters: 'The 26 letters',
      numbers: 'Numbers',
      'first-words': 'First words, in English',
      list: 'A list of mine',
    },
  }),
  list: setting(text(0, 20_000), '', {
    label: 'List',
    help: 'A page for each line: a word, a name or a sentence.',
    control: 'texts',
    when: { what: ['list'] },
  }),
  letters: setting(enumOf(['both', 'capitals', 'small']), 'both', {
    label: 'Letters',
    when: { what: ['letters'] },
    values: { both: 'Both', capitals: 'Capitals', small: 'Small' },
  }),
  from: setting(integerBetween(0, 999), 1, { label: 'First number', when: { what: ['numbers'] } }),
  to: setting(integerBetween(0, 999), 20, { label: 'Last number', when: { what: ['numbers'] } }),
  alphabet: setting(enumOf(['print', 'joined', 'all-joined']), 'print', {
    label: 'Alphabet',
    values: { print: 'Print', joined: 'Joined', 'all-joined': 'All joined' },
  }),
  lines: setting(enumOf(['dashed', 'dotted', 'outlined']), 'dotted', {
    label: 'Letters to trace',
    values: { dashed: 'Dashed', dotted: 'Dotted', outlined: 'Outlined' },
  }),
  guidance: setting(enumOf(['falling', 'full', 'faint']), 'falling', {
    label: 'Guidance',
    help: 'Falling: letters to trace grow faint, then a first letter alone, then nothing.',
    values: { falling: 'Falling', full: 'Full', faint: 'Faint' },
  }),
  ...writingHeight(),
  practice: setting(integerBetween(0, 6), 1, { label: 'Empty lines at the end' }),
  arrows: setting(v.boolean(), true, {
    label: 'Where strokes begin',
    help: 'Numbered dots and arrows on the large letter, dots on the first of each line.',
  }),
  pictures: setting(v.boolean(), true, {
    label: 'Pictures',
    when: { what: ['letters', 'numbers'] },
    help: 'A drawing and a word for each letter, in English; as many dots as a number says.',
  }),
  heading: setting(enumOf(['title and name', 'title', 'none']), 'title and name', {
    label: 'Page heading',
    values: { 'title and name': 'Title and name', title: 'Title', none: 'None' },
  }),
});
export type TracingOptions = v.InferOutput<typeof options>;
