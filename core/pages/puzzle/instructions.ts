import * as v from 'valibot';
import { setting } from '../../settings.ts';

/** Whether pages say what to do. */
export const instructionsSetting = () =>
  setting(v.boolean(), true, { label: 'Instructions', help: 'A line at the foot of each page.' });
