import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { boundsOf, type GroupMark, type PathMark } from '../../scene/index.ts';
import { dictionary } from '../dictionary/index.ts';
import { NODE_TOOLS } from '../node-tools.ts';
import { troubleIn } from '../trouble.sample.ts';
import { artwork } from './index.ts';

const tools = NODE_TOOLS;
const utf8 = (text: string) => new TextEncoder().encode(text);
const svg = (inside: string, head = 'viewBox="0 0 100 80"') =>
  utf8(`<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`);
const read = (bytes: Uint8Array) => artwork.read(bytes, tools, '');
/** What lies on the sheet, which cuts off what lies beyond. */
const marksOf = async (inside: string, head?: string) => {
  const [sheet] = (await read(svg(inside, head))).value.drawing.marks as [GroupMark];
  return sheet.marks;
};
const troubleOf = (bytes: Uint8Array) => troubleIn(read(bytes));
const type = typesetterFromDisk();

describe('artwork', () => {
  it('has the size of its sheet, whose upper left corner is at 0, 0', async () => {
    expect((await read(svg('<path d="M0 0h9v9z"/>'))).facts).toEqual({ width: 100, height: 80 });
    expect((await read(svg('<path d="M0 0h9v9z"/>', 'width="12px" height="7.5"'))).facts).toEqual({
      ...{ width: 12, height: 7.5 },
    });
    const centered = svg('<rect x="-60" y="-40" width="20" height="10"/>', 'viewBox="-50 -40 100 80"');
    const { marks } = (await read(centered)).value.drawing;
    expect(boundsOf(marks, type)).toEqual({ left: 0, top: 0, right: 10, bottom: 10 });
  });

  it('has shapes, paint and what groups hand down, as SVG 1.1 says', async () => {
    const [group] = (await marksOf(
      `<g fill="#c03020" stroke="navy" stroke-width="3" transform="translate(10 20) scale(2)" opacity=".5">
         <circle cx="5" cy="5" r="4"/>
         <polygon points="0,0 4,0 4,4" style="fill: none; stroke-linejoin:round"/>
         <line x1="0" y1="0" x2="9" y2="0" stroke="gray" stroke-dasharray="3"/>
       </g>`,
    )) as [GroupMark];
    expect(group).toMatchObject({ type: 'group', matrix: [2, 0, 0, 2, 10, 20], opacity: 0.5 });
    const paths = group.marks as PathMark[];
    // A circle's fill and its stroke, the outline of a triangle, a line's fill, which covers nothing, and its stroke.
    expect(paths.map(({ fill, stroke }) => (fill ? 'fill' : stroke!.width))).toEqual([
      'fill',
      3,
      3,
      'fill',
      3,
    ]);
    expect(paths[0]!.fill).toEqual({ rgb: [192 / 255, 48 / 255, 32 / 255] });
    expect(paths[2]!.stroke).toMatchObject({ join: 'round', miterLimit: 4, cap: 'butt' });
    expect(paths[4]!.stroke).toMatchObject({ dash: [3, 3], paint: { gray: 128 / 255 } });
    expect(boundsOf([paths[0]!], type)).toMatchObject({
      left: expect.closeTo(1, 3),
      right: expect.closeTo(9, 3),
    });
  });

  it('clips parts to a shape, moved with it', async () => {
    const [group] = (await marksOf(
      `<defs><clipPath id="c"><rect width="4" height="4" transform="translate(2 3)"/></clipPath></defs>
       <g clip-path="url(#c)" transform="scale(2)"><path d="M0 0h50v50h-50z"/></g>`,
    )) as [GroupMark];
    expect(boundsOf([group], type)).toEqual({ left: 4, top: 6, right: 12, bottom: 14 });
  });

  it('passes over what shows nothing', async () => {
    expect(
      await marksOf(
        `<title>A bee</title><desc/><metadata><x:y xmlns:x="a">z</x:y></metadata><defs><text>no</text></defs>
         <!-- said --><path d=""/><rect width="0" height="4"/><g display="none"><path d="M0 0h5"/></g>
         <path d="M1 1h5v5z" fill="none"/><path d="M1 1h5v5z"/>`,
      ),
    ).toHaveLength(1);
  });

  it.each([
    ['<text x="1">bee</text>', /has text in it\. Turn the words into outlines/],
    ['<image href="x.png"/>', /has pictures in it/],
    ['<use href="#a"/>', /repeats parts by reference/],
    ['<style>.a{fill:red}</style><path d="M0 0h1v1z"/>', /has a style sheet/],
    ['<script>alert(1)</script>', /has a program in it/],
    ['<foreignObject/>', /cannot be drawn/],
    ['<path d="M0 0h1v1z" filter="url(#b)"/>', /has effects/],
    ['<path d="M0 0h1v1z" clip-path="url(#b)"/>', /clipped to more than one plain shape/],
    [
      '<clipPath id="b"><path d="M0 0h1z"/><path d="M0 0h2z"/></clipPath><path d="M0 0h1v1z" clip-path="url(#b)"/>',
      /clipped to more than one plain shape/,
    ],
    ['<path d="M0 0h1v1z" fill="url(#g)"/>', /gradients or patterns/],
    ['<path d="M0 0h1v1z" fill="reddish"/>', /the color “reddish”, which is not a color/],
    ['<path d="M0 0 L 1"/>', /has a path that cannot be read/],
    ['<path d="M0 0 L 1e999 4"/>', /numbers that are too large/],
    ['<rect width="3em" height="3"/>', /has width="3em"/],
    ['<path d="M0 0h1v1z" transform="wobble(3)"/>', /the transform “wobble/],
    ['<blink/>', /a part “blink” that is not known/],
    ['', /shows nothing/],
    ['<g>'.repeat(300) + '</g>'.repeat(300), /too many parts/],
    [`<path d="M0 0${'l1 1'.repeat(300_000)}"/>`, /more than 80,000 curves/],
  ])('that would print otherwise than it looks is refused (%#)', async (inside, message) => {
    expect(await troubleOf(svg(inside))).toMatch(message);
  });

  it('that is no SVG, has no size, or unfolds into more than it is, is refused', async () => {
    expect(await troubleOf(utf8('<html></html>'))).toMatch(/is not an SVG\. Choose/);
    expect(await troubleOf(utf8('<svg><path'))).toMatch(/cut off/);
    expect(await troubleOf(new Uint8Array([0xff, 0xfe, 0]))).toMatch(/not an SVG in UTF-8/);
    expect(await troubleOf(svg('<path d="M0 0h1v1z"/>', 'width="100%"'))).toMatch(/has width="100%"/);
    expect(await troubleOf(svg('<path d="M0 0h1v1z"/>', ''))).toMatch(/does not say how large/);
    const laughs = '<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;">]><svg viewBox="0 0 1 1">&b;</svg>';
    expect(await troubleOf(utf8(laughs))).toMatch(/has entities/);
  });

  it('that is damaged anywhere is read or refused, and nothing else happens', async () => {
    const whole = svg(
      '<g transform="rotate(3)"><path d="M1 2C3 4 5 6 7 8Q1 1 2 2A3 3 0 0 1 9 9Z" fill="red"/></g>',
    );
    const flips = fc.array(fc.record({ at: fc.nat(whole.length - 1), value: fc.nat(255) }), { maxLength: 6 });
    await fc.assert(
      fc.asyncProperty(flips, fc.nat(whole.length), async (changes, length) => {
        const bytes = whole.slice(0, Math.max(1, whole.length - (length % 40)));
        for (const { at, value } of changes) if (at < bytes.length) bytes[at] = value;
        await troubleOf(bytes);
      }),
    );
  });
});

describe('a dictionary', () => {
  it('has words and what is said of each', async () => {
    const { value, facts } = await dictionary.read(
      utf8('drone\tA male bee\nskep\nwax\tCells\tare made of it\n'),
      tools,
      '',
    );
    expect(value).toEqual([
      { word: 'drone', text: 'A male bee' },
      { word: 'skep', text: '' },
      { word: 'wax', text: 'Cells are made of it' },
    ]);
    expect(facts).toEqual({ entries: 3 });
  });
});
