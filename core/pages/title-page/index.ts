import * as v from 'valibot';
import { keyed } from '../../keyed.ts';
import { setting } from '../../settings.ts';
import { defineKind } from '../kind.ts';
import { drawTitlePage } from './draw.ts';

const options = keyed({
  series: setting(v.boolean(), true, {
    label: 'Show the series line',
    help: 'A line such as “Volume 2 of Hive & Hedge”, in a book that belongs to a series.',
  }),
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
  units: () => [{}],
  draw: drawTitlePage,
});
