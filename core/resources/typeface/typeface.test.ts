import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fc from 'fast-check';
import { convert } from 'fontverter';
import { describe, expect, it } from 'vitest';
import { readFace } from '../../faces/faces-from-disk.ts';
import { withFsType } from '../../faces/fonts.sample.ts';
import { NODE_TOOLS } from '../node-tools.ts';
import { troubleIn } from '../trouble.sample.ts';
import { typeface } from './index.ts';

const require = createRequire(import.meta.url);
const lora = new Uint8Array(readFace('lora-bold'));
/** CFF outlines. */
const bravura = new Uint8Array(readFileSync(require.resolve('@vexflow-fonts/bravura/bravura.otf')));
const variable = readFileSync(require.resolve('inter-ui/variable/InterVariable.woff2'));

const tools = { ...NODE_TOOLS, thorough: true } as const;
const read = async (bytes: Uint8Array) => (await typeface.read(bytes, tools, '')).facts;
const troubleOf = (bytes: Uint8Array) => troubleIn(read(bytes));

describe('a typeface of one’s own', () => {
  it('says its family, weight and slope, with outlines of either kind', async () => {
    expect(await read(lora)).toEqual({ family: 'Lora', weight: 700, italic: false });
    expect(await read(new Uint8Array(readFace('lora-italic')))).toEqual({
      ...{ family: 'Lora', weight: 400, italic: true },
    });
    expect(await read(bravura)).toEqual({ family: 'Bravura', weight: 400, italic: false });
  });

  // OpenType 1.9, OS/2 table, fsType: the values of bits 0–3, 8 and 9, and what holds where several are set.
  it.each([
    [0x0000, null],
    [0x0002, /license does not allow it/],
    [0x0004, null],
    [0x0008, null],
    [0x000a, null],
    [0x0006, null],
    [0x0100, /only as a whole/],
    [0x0108, /only as a whole/],
    [0x0200, /only as pixels/],
    [0x0204, /only as pixels/],
  ])('with the license bits %i is taken or refused as the standard says', async (fsType, trouble) => {
    const said = await troubleOf(withFsType(lora, fsType));
    if (trouble) expect(said).toMatch(trouble);
    else expect(said).toBeNull();
  });

  it('is refused with what to do when it is packed, variable, several in one, or no font', async () => {
    expect(await troubleOf(variable)).toMatch(/packed for the web\. Upload it/);
    expect(await troubleOf(await convert(variable, 'sfnt'))).toMatch(/is a variable font\. Upload it/);
    expect(await troubleOf(new TextEncoder().encode('ttcf\0\x01\0\0'))).toMatch(/collection/);
    for (const bytes of [new Uint8Array(), new TextEncoder().encode('%PDF-1.7')])
      expect(await troubleOf(bytes)).toMatch(/is not a font\. TTF, OTF/);
  });

  it('that is cut off or damaged is read or refused, and nothing else happens', async () => {
    const damage = fc.record({
      font: fc.constantFrom(lora, bravura),
      length: fc.double({ min: 0.0001, max: 1, noNaN: true }),
      flips: fc.array(fc.record({ at: fc.nat(40_000), value: fc.nat(255) }), { maxLength: 12 }),
    });
    await fc.assert(
      fc.asyncProperty(damage, async ({ font, length, flips }) => {
        const bytes = font.slice(0, Math.ceil(font.length * length));
        for (const { at, value } of flips) bytes[at % bytes.length] = value;
        await troubleOf(bytes);
      }),
      { numRuns: 40 },
    );
    for (const share of [0.01, 0.3, 0.6, 0.99])
      expect(await troubleOf(lora.slice(0, lora.length * share))).toMatch(/is cut off/);
  });
});
