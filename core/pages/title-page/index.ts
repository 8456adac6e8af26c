import * as v from 'valibot';
import { keyed } from '../../keyed.ts';
import { defineKind } from '../kind.ts';
import { drawTitlePage } from './draw.ts';

const options = keyed({
  /** Shows the series line, such as “Volume 2 of Hive & Hedge”. */
  series: v.optional(v.boolean(), true),
});

export type TitlePageOptions = v.InferOutput<typeof options>;

export const titlePage = defineKind({
  id: 'title-page',
  version: 1,
  name: 'Title page',
  purpose: 'Title, subtitle, pen name and imprint, from the book.',
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  options,
  fields: [{ control: 'switch', key: 'series', label: 'Show the series line' }],
  units: () => [{}],
  draw: drawTitlePage,
});
