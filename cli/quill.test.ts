import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const folder = mkdtempSync(join(tmpdir(), 'quill-cli-'));
const quill = (...args: string[]) =>
  spawnSync(process.execPath, ['cli/bin.mjs', ...args], { encoding: 'utf8' });

function recipe(name: string, more: Record<string, unknown> = {}): string {
  const path = join(folder, name);
  const base = {
    quill: 1,
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
    expect(JSON.parse(quill('describe', recipe('d.json'), '--json').stdout)).toMatchObject({
      pages: 100,
      gutter: 27,
    });
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
    [
      ['check', recipe('f.json', { colour: 'red' })],
      /colour is not a key that is known here\. Allowed: quill, id/,
    ],
    [['check', recipe('g.json', { title: 'x'.repeat(400) })], /title has 400 characters; 200 are allowed/],
    [['bind', 'x.json'], /There is no command “bind”/],
    [['toString', 'x.json'], /There is no command “toString”/],
    [['check', recipe('k.json'), 'more'], /“more” is one word too many/],
    [['check'], /Name the recipe: quill check book\.json/],
    [['describe', folder], /cannot be read/],
    [['check', noJson('l.json')], /l\.json is not JSON/],
    [['make', recipe('h.json'), '--out', join(recipe('i.json'), 'x')], /cannot be written to/],
    [['make', recipe('j.json'), '--out', '/dev/full'], /cannot be written to/],
    [['check', 'x', '--colour'], /Unknown option/],
  ])('answers %j with what, where and what to do', (args, said) => {
    const done = quill(...args);
    expect(done.status).toBe(2);
    expect(done.stderr).toMatch(said);
    expect(done.stderr).not.toMatch(/\n\s+at /);
  });
});
