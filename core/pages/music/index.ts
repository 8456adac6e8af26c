import type { Rect } from '../../print/index.ts';
import { BLACK, buildPath, type Mark, rectPath } from '../../scene/index.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { drawHeading, headedUnits } from '../paper/heading.ts';
import { darker, levelLines, stroked } from '../paper/lines.ts';
import { points } from '../paper/settings.ts';
import { CLEF_ROOM, clef } from './clefs.ts';
import { type System, systemsOf, systemsWanted } from './layout.ts';
import { type MusicOptions, options, STRINGS, type StaffKind, SYSTEMS } from './options.ts';

/** Room at the left for the brace of a system, in points. */
const BRACE = points(3.2, 'mm');

/** Clefs reach over the outer staves by so much, in spaces of the staff. */
const OVER = 1.6;

function areaOf(rest: Rect, body: Rect, { clef: chosen, staffHeight }: MusicOptions): Rect {
  const over = chosen === 'none' ? 1 : (OVER * points(staffHeight, 'mm')) / 4;
  const gap = rest.y > body.y ? points(5, 'mm') : over;
  return { ...rest, y: rest.y + gap, height: rest.height - gap - over };
}

const bottomOf = ({ staves }: System): number => {
  const last = staves.at(-1)!;
  return last.top + (last.lines - 1) * last.space;
};

function draw(context: DrawContext<MusicOptions, never>): Mark[] {
  const { body, options: chosen, type, faces } = context;
  const { marks, rest } = drawHeading(context);
  const systems = systemsOf(areaOf(rest, body, chosen), chosen);
  const joined = (systems[0]?.staves.length ?? 1) > 1;
  const x = body.x + (joined ? BRACE : 0);
  const width = body.x + body.width - x;
  const lines: number[] = [];
  for (const { staves } of systems)
    for (const { top, space, lines: count } of staves)
      for (let i = 0; i < count; i++) lines.push(top + i * space);
  marks.push(
    stroked(levelLines({ x, width }, lines), chosen),
    stroked(barLines(systems, x, width, chosen), darker(chosen)),
  );
  for (const system of systems) {
    if (joined) marks.push(brace(body.x, system));
    for (const staff of system.staves) marks.push(...clef(staff, x, type, faces.text));
    if (system.lyrics !== null)
      marks.push(
        stroked(
          levelLines({ x, width }, [system.lyrics]),
          { ...chosen, gray: 0.6, weight: 0.75 },
          { dash: [0.02, 3], cap: 'round', width: 1.1 },
        ),
      );
    if (system.chords) marks.push(...chords(system, x, width, chosen));
  }
  return marks;
}

/** Where bars begin: the first behind the clef. */
function barsAt(system: System, x: number, width: number, { bars, clef: chosen }: MusicOptions): number[] {
  const room = chosen === 'none' ? 0 : CLEF_ROOM * system.staves[0]!.space;
  const step = (width - room) / Math.max(1, bars);
  return Array.from({ length: Math.max(1, bars) }, (_, i) => x + room + i * step);
}

function barLines(systems: readonly System[], x: number, width: number, chosen: MusicOptions) {
  const path = buildPath(64);
  for (const system of systems) {
    const top = system.staves[0]!.top;
    const bottom = bottomOf(system);
    const inner = chosen.bars > 1 ? barsAt(system, x, width, chosen).slice(1) : [];
    const ends = chosen.bars > 0 || system.staves.length > 1 ? [x, x + width] : [];
    for (const at of [...ends, ...inner]) path.move(at, top).line(at, bottom);
  }
  return path.done();
}

/** A curly brace before the two lowest staves of a system, which one player reads. */
function brace(x: number, system: System): Mark {
  const top = system.staves.at(-2)!.top;
  const bottom = bottomOf(system);
  const [w, h, middle] = [BRACE * 0.82, bottom - top, (top + bottom) / 2];
  const right = x + w;
  // Thick in the middle of each half, pointed at both ends and at the tip.
  const half = (end: number, sign: number) =>
    buildPath(4)
      .move(right, end)
      .curve(x - w * 0.25, end + sign * h * 0.2, x + w * 1.15, middle - sign * h * 0.18, x, middle)
      .curve(x + w * 0.75, middle - sign * h * 0.2, x + w * 0.1, end + sign * h * 0.18, right, end)
      .close()
      .done();
  const [upper, lower] = [half(top, 1), half(bottom, -1)];
  const ops = new Uint8Array([...upper.ops, ...lower.ops]);
  return {
    type: 'path',
    path: { ops, points: new Float32Array([...upper.points, ...lower.points]) },
    fill: BLACK,
  };
}

const FRETS = 4;

/** A box above the beginning of each bar: for a name, or a neck with its strings and frets. */
function chords(system: System, x: number, width: number, chosen: MusicOptions): Mark[] {
  const { top, height } = system.chords!;
  const starts = barsAt(system, x, width, chosen);
  const look = { gray: 0.35, weight: 0.75, color: chosen.color };
  if (chosen.chords === 'names') {
    const wide = Math.min(points(16, 'mm'), (width / starts.length) * 0.7);
    return starts.map((at) => stroked(rectPath(at, top, wide, height), look, { join: 'round' }));
  }
  const strings = chosen.chords === 'guitar' ? 6 : 4;
  const wide = height * (strings === 6 ? 0.85 : 0.62);
  return starts.flatMap((at): Mark[] => {
    const neck = buildPath(2 * (strings + FRETS + 1));
    for (let i = 0; i < strings; i++) {
      const string = at + (i * wide) / (strings - 1);
      neck.move(string, top).line(string, top + height);
    }
    for (let i = 1; i <= FRETS; i++)
      neck.move(at, top + (i * height) / FRETS).line(at + wide, top + (i * height) / FRETS);
    const nut = buildPath(2)
      .move(at, top)
      .line(at + wide, top);
    return [
      stroked(neck.done(), look, { cap: 'square' }),
      stroked(nut.done(), { ...look, gray: 0, weight: 1.75 }, { cap: 'square' }),
    ];
  });
}

export const music = definePaper<MusicOptions>({
  id: 'music',
  name: 'Music paper',
  family: 'Music',
  purpose: 'Staves and tablature, with clefs, bars, chord boxes and lines for words.',
  samples: [
    { name: 'Music paper' },
    { name: 'Treble clef', options: { clef: 'treble', bars: 4, heading: 'title and date' } },
    { name: 'Grand staff', options: { clef: 'grand', bars: 4 } },
    { name: 'Voice and piano', options: { clef: 'voice-and-piano', lyrics: true, staves: 9 } },
    { name: 'Guitar tablature', options: { clef: 'guitar-tab', bars: 4, chords: 'names', staves: 8 } },
    { name: 'Ukulele tablature', options: { clef: 'ukulele-tab', bars: 3, chords: 'ukulele', staves: 6 } },
  ],
  options,
  inHouseFaces: ({ heading, clef: chosen }) =>
    heading !== 'none' || SYSTEMS[chosen].some((kind: StaffKind) => STRINGS[kind]),
  units: (count, chosen) => headedUnits(count, chosen, 'staves'),
  draw,
  fits: ({ body, options: chosen }) => ({
    count: systemsOf(areaOf(body, body, chosen), chosen).length,
    of: 'staff',
  }),
  short: ({ body, options: chosen }) => {
    const fitting = systemsOf(areaOf(body, body, chosen), chosen).length;
    const wanted = systemsWanted(chosen);
    return fitting > 0 && fitting < wanted
      ? `${fitting} of ${wanted} systems fit on the page. Make staves lower, or ask for fewer.`
      : null;
  },
});
