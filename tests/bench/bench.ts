import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import PDFDocument from 'pdfkit';
import { bookFrom, drawPage, frameOf, type Recipe } from '#core/book/index.ts';
import { namesOfNoFile } from '#core/export/content.sample.ts';
import { contentStream } from '#core/export/content.ts';
import { type PdfPage, writePdf } from '#core/export/pdf.ts';
import { readFace, typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import type { ShippedFace } from '#core/faces/index.ts';
import { findWord, makeWordSearch } from '#core/puzzles/word-search/index.ts';
import { randomStream } from '#core/random.ts';
import { hashOf, pdf } from '#core/resources/index.ts';
import { NODE_TOOLS } from '#core/resources/node-tools.ts';
import { boundsOf, eachMark, readPath } from '#core/scene/index.ts';
import { READY_LISTS } from '#core/word-lists/index.ts';
import { graphemes as graphemesOf } from '#core/words/graphemes.ts';
import { loadUnwanted } from '#core/words/index.ts';
import { recipeOf } from '../support/books.ts';
import { trustOf, tryJudgment } from '../trial/judgment.ts';
import { curvesScene, drawCurves, FIGURES } from './curves.ts';

const type = typesetterFromDisk();
const ROUNDS = 9;
/** Rounds until the engine has settled on its machine code. */
const WARM_UP = 4;
const IMPORTED_PAGES = 300;

const median = (values: number[]) => values.slice().sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** CPU milliseconds of a piece of work, warm: the median of some rounds. */
async function cpu(work: () => unknown): Promise<number> {
  for (let i = 0; i < WARM_UP; i++) await work();
  const spent: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const before = process.cpuUsage();
    await work();
    const { user, system } = process.cpuUsage(before);
    spent.push((user + system) / 1000);
  }
  return median(spent);
}

const pagesOf = (recipe: Recipe): PdfPage[] => {
  const book = bookFrom(recipe);
  return book.plan.pages.map((page) => ({
    scene: drawPage(book, page.number, type),
    trim: frameOf(book, page).trim,
  }));
};

/** The same pages by PDFKit’s high-level calls: font, text, lines. */
function highLevel(pages: PdfPage[]): Promise<void> {
  return new Promise((done) => {
    const document = new PDFDocument({ autoFirstPage: false, margin: 0 });
    document.on('data', () => {});
    document.on('end', done);
    const faces = new Set<string>();
    for (const { scene } of pages) {
      document.addPage({ size: [scene.width, scene.height], margin: 0 });
      for (const layer of scene.layers) {
        eachMark(layer.marks, (mark) => {
          if (mark.type === 'text') {
            if (!faces.has(mark.face)) {
              document.registerFont(mark.face, readFace(mark.face as ShippedFace) as Buffer);
              faces.add(mark.face);
            }
            document.font(mark.face).fontSize(mark.size);
            if (mark.centers) {
              const letters = graphemesOf(mark.text);
              mark.centers.forEach(
                (x, i) =>
                  void document.text(letters[i]!, x - document.widthOfString(letters[i]!) / 2, mark.y, {
                    lineBreak: false,
                    baseline: 'alphabetic',
                  }),
              );
            } else document.text(mark.text, mark.x, mark.y, { lineBreak: false, baseline: 'alphabetic' });
          } else if (mark.type === 'path') {
            readPath(mark.path, {
              move: (x, y) => document.moveTo(x, y),
              line: (x, y) => document.lineTo(x, y),
              curve: (...points) => document.bezierCurveTo(...points),
              close: () => document.closePath(),
            });
            if (mark.stroke) document.lineWidth(mark.stroke.width);
            if (mark.fill && mark.stroke) document.fillAndStroke('#ddd', '#444');
            else if (mark.fill) document.fill('#ddd');
            else document.stroke('#888');
          }
        });
      }
    }
    document.end();
  });
}

async function pdfRow(name: string, recipe: Recipe, max: number) {
  const pages = pagesOf(recipe);
  const streams = pages.flatMap(({ scene }) =>
    scene.layers.map((layer) => contentStream(layer.marks, scene.height, namesOfNoFile, type, true)),
  );
  const reference = await cpu(() => {
    for (const stream of streams) deflateSync(stream, { level: 6 });
  });
  const ours = await cpu(() => writePdf(pages, type, { title: name, author: '' }, () => {}));
  const theirs = await cpu(() => highLevel(pages));
  console.log(
    `${name.padEnd(34)} ${(ours / reference).toFixed(2)} × deflate (at most ${max})   ${(ours / theirs).toFixed(2)} × PDFKit high-level (at most 0.6)`,
  );
}

await loadUnwanted();
const words = READY_LISTS.find(({ title }) => title === 'Bees & hives')!.words;
const ruled = (pages: number) => recipeOf([{ id: 'r', kind: 'ruled', pages }]);
const searches = (items: number) =>
  recipeOf([
    {
      id: 'w',
      kind: 'word-search',
      items,
      options: { words: { lists: [{ words }] } },
      solutions: { place: 'none' },
    },
  ]);

/** How fast the machine is just now: shared machines vary several times over, and so do all plain times below. */
const arithmetic = await cpu(() => {
  let sum = 0;
  for (let i = 0; i < 1e8; i++) sum += i % 7;
  return sum;
});
console.log(`A fixed piece of arithmetic takes ${arithmetic.toFixed(0)} ms of this machine just now\n`);

console.log(
  `PDF writing: CPU time against deflating the content bytes of every page at level 6, warm; medians of ${ROUNDS} rounds each`,
);
await pdfRow('120 ruled pages', ruled(120), 1.5);
await pdfRow('828 ruled pages', ruled(828), 1.5);
await pdfRow('100 pages of word searches', searches(100), 3);

{
  const stream = contentStream(drawCurves(), 810, namesOfNoFile, type, true);
  const reference = await cpu(() => deflateSync(stream, { level: 6 }));
  const whole = await cpu(() => {
    const scene = curvesScene();
    boundsOf(scene.layers[0]!.marks, type);
    const trim = { x: 0, y: 0, width: scene.width, height: scene.height };
    return writePdf([{ scene, trim }], type, { title: '', author: '' }, () => {});
  });
  // The numbers that the drawing is made of cost the same whoever draws it.
  const numbers = await cpu(() => {
    const random = randomStream('bench', 'curves');
    for (let i = 0; i < FIGURES * 602; i++) random.unit();
  });
  console.log(
    `A page of 20,000 curves            ${((whole - numbers) / reference).toFixed(2)} × deflate (at most 1.2), drawn, measured and written`,
  );
}

/** A PDF of 300 pages of running text, by PDFKit. */
function textPages(): Promise<Uint8Array> {
  const document = new PDFDocument({ size: [432, 648], margin: 0, autoFirstPage: false });
  document.registerFont('lora', readFace('lora-regular' as ShippedFace) as Buffer);
  const lines =
    'Twelve gulls, two herons and a tern before the tide turned over wet sand under low cloud. '.repeat(19);
  for (let page = 1; page <= IMPORTED_PAGES; page++) {
    document.addPage().font('lora').fontSize(11).text(lines, 54, 54, { width: 324 });
    document.fontSize(9).text(String(page), 200, 610, { lineBreak: false });
  }
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  document.end();
  return new Promise((done) => document.on('end', () => done(new Uint8Array(Buffer.concat(chunks)))));
}

{
  const bytes = await textPages();
  const began = performance.now();
  await pdf.read(bytes, { ...NODE_TOOLS, thorough: true }, hashOf(bytes));
  const ms = performance.now() - began;
  console.log(
    `\nImport of a PDF of ${IMPORTED_PAGES} pages of text, every page read: ${ms.toFixed(0)} ms (${(ms / arithmetic).toFixed(1)} × the arithmetic; under 10,000 ms)`,
  );
}

/** What Node is told when the command is run, in the first line of its file. */
const [told = ''] = readFileSync('cli/bin.mjs', 'utf8').split('\n', 1);
const NODE_FLAGS = told.split(' ').filter((word) => word.startsWith('--'));

/** A book written by a process of its own, as the command is run. */
function written(book: string): { ms: number; peak: number; bytes: number } {
  const began = performance.now();
  const { stdout } = spawnSync(process.execPath, [...NODE_FLAGS, 'build/bench/write-book.mjs', book], {
    encoding: 'utf8',
  });
  return { ms: performance.now() - began, ...(JSON.parse(stdout) as { peak: number; bytes: number }) };
}
const startup = median(
  Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    spawnSync(process.execPath, ['-e', '0']);
    return performance.now() - began;
  }),
);
console.log(
  `\nBooks from the start of a process to the whole PDF; medians of ${ROUNDS}, and how often a process that does nothing`,
);
for (const [book, name, most] of [
  ['ruled', '828 ruled pages', 'under 1000 ms, 300 kB'],
  ['composed', '250 composed pages', 'under 2000 ms'],
  ['planner', '390 dated planner pages', 'under 3000 ms, 200 MB'],
  ['searches', '828 word-search pages', 'under 120 MB'],
] as const) {
  const all = Array.from({ length: book === 'searches' ? 1 : ROUNDS }, () => written(book));
  const ms = median(all.map((one) => one.ms));
  console.log(
    `${name.padEnd(34)} ${ms.toFixed(0)} ms (${(ms / startup).toFixed(0)} ×), ${(all[0]!.bytes / 1000).toFixed(0)} kB, peak ${median(all.map(({ peak }) => peak)).toFixed(0)} MB (${most})`,
  );
}

interface Mixed {
  pages: number;
  first: number;
  fromStart: number;
  whole: number;
  again: number;
}
const mixed = Array.from({ length: 3 }, (): Mixed => {
  const { stdout } = spawnSync(process.execPath, ['build/bench/mixed-book.mjs'], { encoding: 'utf8' });
  return JSON.parse(stdout);
});
const mixedMedian = (of: keyof Mixed) => median(mixed.map((one) => one[of]));
console.log(
  `A mixed puzzle book of ${mixed[0]!.pages} pages, answers among them   first pages after ${mixedMedian('first').toFixed(0)} ms (1,000), ${mixedMedian('fromStart').toFixed(0)} with the start of the program; whole PDF ${(mixedMedian('whole') / 1000).toFixed(1)} s (15; ${(mixedMedian('whole') / startup).toFixed(0)} ×); after a change of its mazes ${(mixedMedian('again') / 1000).toFixed(2)} s for all items`,
);

const listed = words
  .filter((word) => !word.includes(' '))
  .slice(0, 15)
  .map((word) => ({ word, letters: [...word.toUpperCase()] }));
let bad = 0;
const making = await cpu(() => {
  for (let i = 0; i < 1000; i++)
    makeWordSearch(
      { columns: 16, rows: 16, directions: 'backwards', words: listed },
      randomStream('bench', i),
    );
});
for (let i = 0; i < 1000; i++) {
  const puzzle = makeWordSearch(
    { columns: 16, rows: 16, directions: 'backwards', words: listed },
    randomStream('bench', i),
  );
  if (puzzle.leftOut.length || listed.some(({ letters }) => findWord(puzzle, letters).length !== 1)) bad++;
}
console.log(
  `1,000 word searches 16 × 16, 15 words  ${(making / 1000).toFixed(2)} s of one core (under 1); ${bad} with a word not found exactly once`,
);

const folder = mkdtempSync(join(tmpdir(), 'quill-bench-'));
const whole = recipeOf([
  { id: 't', kind: 'title-page' },
  { id: 'o', kind: 'belongs-to' },
  { id: 'w', kind: 'word-search', items: 90, options: { words: { lists: [{ words }] } } },
  { id: 'r', kind: 'ruled', pages: 13 },
]);
writeFileSync(join(folder, 'book.json'), JSON.stringify(whole));
const wall: number[] = [];
for (let i = 0; i < ROUNDS; i++) {
  const started = performance.now();
  spawnSync(process.execPath, [
    'build/bench/quill.mjs',
    'make',
    join(folder, 'book.json'),
    '--out',
    join(folder, 'out'),
  ]);
  wall.push(performance.now() - started);
}
const bare: number[] = [];
for (let i = 0; i < ROUNDS; i++) {
  const started = performance.now();
  spawnSync(process.execPath, ['-e', '0']);
  bare.push(performance.now() - started);
}
console.log(
  `120-page book from recipe to files     ${(median(wall) / 1000).toFixed(2)} s (under 4), ${(median(wall) / median(bare)).toFixed(0)} × an empty Node process`,
);

console.log('\nJudgment of random niches against what a new book there really earns (docs/judgment.md)');
for (const seed of [1, 2, 3]) {
  const { correlation, open, openInBestThird, words: said } = trustOf(await tryJudgment(folder, 200, seed));
  console.log(
    `200 niches, seed ${seed}                    rank correlation ${correlation.toFixed(2)} (at least 0.6); ${openInBestThird} of ${open} called open in the best third (at least 7 of 10); ${Object.entries(
      said,
    )
      .map(([word, n]) => `${n} ${word}`)
      .join(', ')}`,
  );
}
