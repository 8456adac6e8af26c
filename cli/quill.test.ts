import { execFileSync, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { hashOf, writeWords } from '#core/resources/index.ts';
import { readWords } from '#core/words/index.ts';

const folder = mkdtempSync(join(tmpdir(), 'quill-cli-'));
/** The schema of all kinds of page is larger than what a call takes by default. */
const MOST_PRINTED = 16 * 1024 * 1024;
const quill = (...args: string[]) =>
  spawnSync(process.execPath, ['cli/bin.mjs', ...args], { encoding: 'utf8', maxBuffer: MOST_PRINTED });

function recipe(name: string, more: Record<string, unknown> = {}): string {
  const path = join(folder, name);
  const base = {
    quill: 3,
    id: 'field-notes',
    seed: 'limpet-1',
    title: 'Field Notes',
    penName: 'Odile Marrow',
    print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    sections: [{ id: 'r', kind: 'ruled', pages: 100 }],
    listing: { description: 'Lines.', keywords: ['notes'], prices: { us: 6.99, gb: 5.99 } },
  };
  writeFileSync(path, JSON.stringify({ ...base, ...more }));
  return path;
}

/** A file that breaks off in the middle. */
function noJson(name: string): string {
  const path = join(folder, name);
  writeFileSync(path, '{"quill": 1,');
  return path;
}

describe('quill, without a server', () => {
  it('make writes all files and nothing half-made', () => {
    const out = join(folder, 'out');
    const done = quill('make', recipe('a.json'), '--out', out, '--json');
    expect(done.status, done.stderr).toBe(0);
    const files = [
      'front.jpg',
      'field-notes.zip',
      'interior.pdf',
      'listing.csv',
      'listing.json',
      'recipe.json',
      'wrap.pdf',
    ].sort();
    expect(readdirSync(out).sort()).toEqual(files);
    expect(JSON.parse(done.stdout).files.sort()).toEqual(files);
  });

  it('ends quietly when nobody reads on', () => {
    // From its sources, as in a checkout that was never built.
    const command = `"${process.execPath}" --import tsx cli/quill.ts kinds | true`;
    const done = spawnSync('bash', ['-o', 'pipefail', '-c', command], { encoding: 'utf8' });
    expect(done).toMatchObject({ status: 0, stderr: '' });
  });

  it('topic prints lists with titles that are read in again as they are, and says when there are none', () => {
    const done = quill('topic', 'musical instruments');
    expect(done.status, done.stderr).toBe(0);
    const { lists, problems } = readWords(done.stdout);
    expect(problems).toEqual([]);
    expect(lists.find(({ title }) => title === 'Musical instruments')!.words).toContain('zither');
    expect(lists.find(({ title }) => title === 'Woodwinds')!.words).toContain('clarinet');
    const { senses, sense } = JSON.parse(quill('topic', 'musical instruments', '--json').stdout);
    expect(senses.some(({ synset }: { synset: number }) => synset === sense)).toBe(true);
    expect(quill('topic', 'birdz')).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/no words for “birdz”.*Like it: bird/),
    });
    expect(quill('topic').stderr).toContain('Name the topic');
  });

  it('clues prints words of crosswords without one, with the dictionary’s, which are then read as clues', () => {
    const options = { layout: 'dense', columns: 7, rows: 7, clueSide: 'grid' };
    const section = { id: 'c', kind: 'crossword', items: 2, options };
    const book = (more: object = {}) =>
      recipe('clues.json', { sections: [{ ...section, options: { ...options, ...more } }] });
    const done = quill('clues', book());
    expect(done.status, done.stderr).toBe(0);
    const [title, ...lines] = done.stdout.trim().split('\n');
    expect(title).toBe(`# c: ${lines.length} words without a clue`);
    expect(lines.length).toBeGreaterThan(15);
    const told = lines.filter((line) => line.includes('| ~ '));
    expect(told.length).toBeGreaterThan(lines.length / 2);
    for (const line of told) expect(line.split('| ~ ')[1]!.length).toBeLessThanOrEqual(26);
    const fillClues = lines.map((line) => (line.endsWith('|') ? `${line} By hand` : line)).join('\n');
    expect(JSON.parse(quill('clues', book({ fillClues }), '--json').stdout).sections).toEqual([
      { section: 'c', words: [] },
    ]);
    expect(quill('clues', recipe('ruled.json'))).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('The book has no puzzles with clues.'),
    });
  });

  it('check ends with 1 when something must be fixed, and lists it', () => {
    expect(quill('check', recipe('b.json')).status).toBe(0);
    const bad = quill(
      'check',
      recipe('c.json', { sections: [{ id: 'r', kind: 'ruled', pages: 10 }] }),
      '--json',
    );
    expect(bad.status).toBe(1);
    expect(JSON.parse(bad.stdout)).toMatchObject({
      mustFix: 1,
      findings: [{ check: 'page-count', severity: 'fix' }],
    });
  });

  it('describe prints the ticket for people and for programs', () => {
    expect(quill('describe', recipe('d.json')).stdout).toMatch(/Wrap\s+12\.475 × 9\.250 in/);
    const told = quill('describe', recipe('d.json'), '--json').stdout;
    expect(JSON.parse(told)).toMatchObject({ pages: 100, gutter: 27 });
    // A spine of 100 × 0.0025 in is 18 points, not 18.000000000000004.
    expect(told.match(/\d+\.\d+/g)!.filter((number) => number.split('.')[1]!.length > 6)).toEqual([]);
  });

  it('check tells people the same findings as programs, page by page', () => {
    const path = recipe('m.json', { listing: { description: '', keywords: ['notes'], prices: { us: 1 } } });
    const said = quill('check', path);
    const { findings, mustFix } = JSON.parse(quill('check', path, '--json').stdout);
    expect(said.status).toBe(1);
    expect(mustFix).toBeGreaterThan(1);
    for (const { message } of findings) expect(said.stdout).toContain(message);
  });

  it('--help says what can be said to it, and nothing at all is a call that is answered', () => {
    const help = quill('--help');
    expect(help.status).toBe(0);
    for (const command of ['make', 'check', 'describe', 'schema'])
      expect(help.stdout).toContain(`quill ${command}`);
    expect(quill()).toMatchObject({ status: 2, stdout: help.stdout });
  });

  it('schema prints a JSON Schema', () => {
    expect(JSON.parse(quill('schema').stdout)).toMatchObject({
      $schema: expect.stringContaining('json-schema.org'),
      type: 'object',
    });
  });

  it.each([
    [['make', join(folder, 'nothing.json'), '--out', folder], /there is no such file/],
    [['make', recipe('e.json')], /Name the folder/],
    [['check', recipe('f.json', { color: 'red' })], /color is not a known key\. Allowed: quill, id/],
    [['check', recipe('g.json', { title: 'x'.repeat(400) })], /title has 400 characters; 200 are allowed/],
    [['bind', 'x.json'], /There is no command “bind”/],
    [['toString', 'x.json'], /There is no command “toString”/],
    [['check', recipe('k.json'), 'more'], /“more” is one word too many/],
    [['check'], /Name the recipe: quill check book\.json/],
    [['describe', folder], /cannot be read/],
    [['check', noJson('l.json')], /l\.json is not JSON/],
    [['make', recipe('h.json'), '--out', join(recipe('i.json'), 'x')], /cannot be written to/],
    [['make', recipe('j.json'), '--out', '/dev/full'], /cannot be written to/],
    [['check', 'x', '--color'], /Unknown option/],
  ])('answers %j with what, where and what to do', (args, said) => {
    const done = quill(...args);
    expect(done.status).toBe(2);
    expect(done.stderr).toMatch(said);
    expect(done.stderr).not.toMatch(/\n\s+at /);
  });

  it('items are saved for other programs: together where a file takes several, or a file each', () => {
    const file = recipe('saved.json', {
      sections: [
        { id: 's', kind: 'sudoku', items: 3, options: { level: 1 } },
        { id: 'c', kind: 'crossword', items: 2, options: { clues: 'Bee | Hums\nHive | Home\nEel | Fish' } },
      ],
    });
    expect(quill('items', file, '--as', 'line').stdout).toMatch(/^([.1-9]{81}\n){3}$/);
    const out = join(folder, 'saved');
    expect(quill('items', file, '--as', 'ipuz', '--out', out).stdout).toContain(`5 files in ${out}.`);
    expect(readdirSync(out).sort()).toEqual([1, 2, 3, 4, 5].map((n) => `puzzle-${n}.ipuz`));
    expect(JSON.parse(readFileSync(`${out}/puzzle-4.ipuz`, 'utf8'))).toMatchObject({
      kind: ['http://ipuz.org/crossword#1'],
    });
    const clues = quill('items', file, '--as', 'clues').stdout;
    expect(clues).toContain(',across,');
    expect(quill('items', file, '--as', 'pdf', '--out', join(folder, 'pictures')).stdout).toContain(
      '5 files in',
    );
    const pdf = execFileSync('pdfinfo', [join(folder, 'pictures', 'puzzle-4.pdf')], { encoding: 'utf8' });
    expect(pdf).toMatch(/Pages:\s+2\n/);
    expect(quill('items', file, '--as', 'svg').stderr).toContain('name a folder for them with --out');
    expect(quill('items', file, '--as', 'ipuz').stderr).toContain('name a folder for them with --out');
    expect(quill('items', file, '--as', 'gif').stderr).toContain(
      'Its items are saved as: line, ipuz, json, clues, no-clue, svg, png, pdf.',
    );
  });

  it('items gives every puzzle with its pages, and in JSON the puzzle itself, whose words stand where it says', () => {
    const words = [
      'swarm',
      'propolis',
      'drone',
      'nectar',
      'skep',
      'waggle',
      'brood',
      'queen',
      'pollen',
      'smoker',
    ];
    const file = recipe('items.json', {
      sections: [
        { id: 'r', kind: 'ruled', pages: 30 },
        {
          id: 'w',
          kind: 'word-search',
          items: 3,
          options: { words: { lists: [{ words }] }, wordsPerPuzzle: 10, directions: 'backwards' },
        },
      ],
    });
    expect(quill('items', file).stdout).toMatch(/^Puzzle 1 +page 31 +solution page 34 +\(w\)/);
    const { items } = JSON.parse(quill('items', file, '--json').stdout);
    expect(items).toHaveLength(3);
    for (const { number, section, page, solutionPage, data } of items) {
      expect([section, page, solutionPage]).toEqual(['w', 30 + number, 34]);
      const letters = data.rows.join('');
      expect(letters).toMatch(/^[A-Z]{256}$/);
      expect(data.words).toHaveLength(10);
      for (const { word, cells } of data.words)
        expect(cells.map((cell: number) => letters[cell]).join('')).toBe(word.toUpperCase());
    }
  });

  it('pages draws the pages that are asked for, as PNG or as SVG', () => {
    const out = join(folder, 'pages');
    expect(quill('pages', recipe('p.json'), '--pages', '1-2,100', '--out', out).stdout).toBe(
      `3 pages in ${out}.\n`,
    );
    expect(readdirSync(out).sort()).toEqual(['page-001.png', 'page-002.png', 'page-100.png']);
    expect(readFileSync(join(out, 'page-001.png')).subarray(1, 4).toString()).toBe('PNG');
    quill('pages', recipe('p.json'), '--pages', '7', '--svg', '--out', out);
    expect(readFileSync(join(out, 'page-007.svg'), 'utf8')).toMatch(/^<svg .*<\/svg>$/s);
  });

  it.each([
    ['0', /“0” is not a page or a range of pages/],
    ['3-1', /“3-1” is not a page/],
    ['2,x', /“x” is not a page/],
    ['99-101', /There is no page 101; the book has 100/],
  ])('pages %s is answered with what is wrong', (list, expected) => {
    const done = quill('pages', recipe('q.json'), '--pages', list, '--out', join(folder, 'none'));
    expect(done.status).toBe(2);
    expect(done.stderr).toMatch(expected);
  });

  it('kinds names every kind with the schema of its options, every composition and every service', () => {
    const { kinds, compositions, services } = JSON.parse(quill('kinds', '--json').stdout);
    const ruled = kinds.find(({ id }: { id: string }) => id === 'ruled');
    expect(ruled).toMatchObject({ version: 3, extent: 'pages' });
    expect(ruled.options.properties.ruling.enum).toEqual(['wide', 'college', 'narrow', '6mm', '7mm', '8mm']);
    expect(compositions).toMatchObject([
      {
        id: 'field',
        name: 'Field',
        version: 2,
        options: { properties: { titleSize: { minimum: 50, maximum: 150 } } },
        fields: { properties: { blurb: { type: 'string' } } },
      },
    ]);
    expect(
      services.map(({ id, bindings }: { id: string; bindings: { id: string }[] }) => [id, bindings[0]!.id]),
    ).toEqual([
      ['wrenfair', 'paperback'],
      ['thornback', 'coil'],
    ]);
    expect(quill('kinds').stdout).toMatch(/word-search +v3 +Words hidden/);
  });

  it('a book goes into one file and comes out of it, and every command takes either', () => {
    const words = writeWords([
      'swarm',
      'propolis',
      'drone',
      'nectar',
      'skep',
      'waggle',
      'brood',
      'queen',
      'comb',
      'veil',
    ]);
    const folderOf = (name: string) => join(folder, name);
    mkdirSync(folderOf('loose/resources'), { recursive: true });
    const named = { type: 'words', hash: hashOf(words), name: 'Bees', facts: { words: 10 } };
    const loose = recipe('loose/book.json', {
      resources: { bees: named },
      sections: [
        { id: 'r', kind: 'ruled', pages: 30 },
        { id: 'w', kind: 'word-search', items: 2, options: { words: { bank: 'bees' }, wordsPerPuzzle: 10 } },
      ],
    });
    const lacks = quill('make', loose, '--out', folderOf('lacks'));
    const place = folderOf(`loose/resources/${named.hash.slice(7)}.txt`);
    expect(lacks.status).toBe(2);
    expect(lacks.stderr).toContain('Word bank “Bees” is missing.');
    expect(lacks.stderr).toContain(place);
    expect(quill('check', loose).stdout).toMatch(/Must fix {2}Page 31: Word bank “Bees” is missing/);
    const early = quill('pack', loose, '--out', folderOf('early.zip'), '--json');
    expect([early.status, JSON.parse(early.stdout).missing]).toEqual([1, [named]]);

    writeFileSync(place, words);
    const zip = folderOf('book.zip');
    expect(quill('pack', loose, '--out', zip).status).toBe(0);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
    const data = (file: string) => quill('items', file, '--json').stdout;
    expect(data(zip)).toBe(data(loose));
    expect(quill('check', zip).stdout).toBe('Nothing to fix.\n');
    expect(quill('unpack', zip, '--out', folderOf('parted')).status).toBe(0);
    expect(data(folderOf('parted/recipe.json'))).toBe(data(loose));
    // An outside tool finds nothing wrong with the ZIP (Info-ZIP).
    expect(spawnSync('unzip', ['-t', zip], { encoding: 'utf8' }).stdout).toMatch(/No errors detected/);

    writeFileSync(place, 'other words\n');
    expect(quill('make', loose, '--out', folderOf('lacks')).stderr).toMatch(/was changed or is cut off/);
    writeFileSync(folderOf('cut.zip'), readFileSync(zip).subarray(0, 700));
    expect(quill('check', folderOf('cut.zip')).stderr).toMatch(/cut\.zip is cut off|is damaged/);
  });

  it('a recipe is read in every encoding that editors save it in', () => {
    const text = `\uFEFF${readFileSync(recipe('plain.json', { title: 'Été' }), 'utf8')}`;
    for (const [name, bytes] of [
      ['bom.json', Buffer.from(text, 'utf8')],
      ['utf16le.json', Buffer.from(text, 'utf16le')],
      ['utf16be.json', Buffer.from(text, 'utf16le').swap16()],
    ] as const) {
      writeFileSync(join(folder, name), bytes);
      const told = quill('describe', join(folder, name), '--json');
      expect(told.status, told.stderr).toBe(0);
      expect(JSON.parse(told.stdout)).toEqual(
        JSON.parse(quill('describe', join(folder, 'plain.json'), '--json').stdout),
      );
    }
    writeFileSync(
      join(folder, 'picture.json'),
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2, 3, 0, 0, 9, 9, 9, 9]),
    );
    expect(quill('describe', join(folder, 'picture.json')).stderr).toMatch(
      /picture\.json is not a recipe: it is not text/,
    );
  });

  it('a recipe of the first version is made with the words that it holds', () => {
    const old = recipe('old.json', {
      quill: 1,
      banks: {
        bees: {
          name: 'Bees',
          words: 'swarm propolis drone nectar skep waggle brood queen comb veil'.split(' '),
        },
      },
      sections: [
        { id: 'w', kind: 'word-search', items: 2, options: { words: { bank: 'bees' }, wordsPerPuzzle: 10 } },
      ],
    });
    expect(JSON.parse(quill('items', old, '--json').stdout).items[1].data.words).toHaveLength(10);
    const out = join(folder, 'old');
    expect(quill('unpack', old, '--out', out).status).toBe(0);
    expect(readdirSync(join(out, 'resources'))).toHaveLength(1);
  });

  it('reference prints what docs/reference.md says', () => {
    expect(readFileSync('docs/reference.md', 'utf8')).toBe(quill('reference').stdout);
  });

  it('a coil-bound book is made with a front and a back cover and no wrap', () => {
    const out = join(folder, 'coil');
    const coil = recipe('coil.json', {
      print: { service: 'thornback', trim: { width: '8.5in', height: '11in' }, bleed: true },
      listing: { description: 'Lines.', keywords: ['notes'], prices: { us: 19.99 } },
    });
    expect(quill('make', coil, '--out', out).status).toBe(0);
    const names = readdirSync(out);
    expect(names).toEqual(expect.arrayContaining(['front-cover.pdf', 'back-cover.pdf', 'interior.pdf']));
    expect(names).not.toContain('wrap.pdf');
    expect(quill('describe', coil).stdout).toMatch(/Spine +none/);
    expect(quill('check', coil).stdout).toBe('Nothing to fix.\n');
  });
});
