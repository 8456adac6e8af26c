import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Stop, say } from './say.mjs';

const NODE_MAJOR = 20;

export function checkNode() {
  const major = Number(process.versions.node.split('.')[0]);
  if (major < NODE_MAJOR)
    throw new Stop(`Node ${NODE_MAJOR} or newer is needed; this is ${process.version}.`);
}

function command(name, args, options = {}) {
  const done = spawnSync(name, args, { stdio: 'inherit', ...options });
  if (done.status !== 0)
    throw new Stop(`“${name} ${args.join(' ')}” failed${done.error ? `: ${done.error.message}` : '.'}`);
}

/** Installs the packages of the lock file, unless that was done for this very lock file. */
export function installPackages() {
  const digest = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const marker = 'node_modules/.quill-lock';
  if (existsSync(marker) && readFileSync(marker, 'utf8') === digest) return;
  say('Installing packages from the lock file …');
  command('npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(marker, digest);
}

const onPath = (name) => spawnSync('sh', ['-c', `command -v ${name}`]).status === 0;

/** Newest version directory of Debian's PostgreSQL programs, or null. */
export function postgresPrograms() {
  const root = '/usr/lib/postgresql';
  if (!existsSync(root)) return null;
  const [newest] = readdirSync(root)
    .filter((version) => existsSync(join(root, version, 'bin/initdb')))
    .sort((a, b) => Number(b) - Number(a));
  return newest ? join(root, newest, 'bin') : null;
}

/**
 * Makes sure that Debian packages are there: as root by apt-get, otherwise one line that says what to install.
 * @param wanted pairs of a test that says whether it is there and the package that brings it
 */
export function installDebianPackages(wanted) {
  const missing = wanted.filter(([isThere]) => !isThere()).map(([, name]) => name);
  if (missing.length === 0) return;
  const line = `apt-get install ${missing.join(' ')}`;
  if (process.getuid?.() !== 0 || !onPath('apt-get'))
    throw new Stop(`Please install first, as root: ${line}`);
  say(`Installing ${missing.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  command('apt-get', ['update', '-qq'], { env, stdio: ['ignore', 'ignore', 'inherit'] });
  command('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
}

export const program = (name, debianPackage = name) => [() => onPath(name), debianPackage];
export const postgresql = [() => postgresPrograms() !== null, 'postgresql'];

const BUILT_FROM = [
  'app',
  'core',
  'server',
  'standins',
  'cli',
  'package-lock.json',
  'vite.config.ts',
  'react-router.config.ts',
  'scripts/bundle.mjs',
  'scripts/lib/bundle-for-node.mjs',
];

/** Builds application and programs, unless nothing they are built from has changed. */
export function buildIfNeeded() {
  const digest = createHash('sha256');
  const visit = (path) => {
    const { mtimeMs, size } = statSync(path);
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
    else digest.update(`${path} ${size} ${mtimeMs}\n`);
  };
  BUILT_FROM.forEach(visit);
  const stamp = digest.digest('hex');
  const marker = 'build/.stamp';
  if (existsSync(marker) && readFileSync(marker, 'utf8') === stamp) return;
  say('Building …');
  // Whoever asks first: a test that starts the program must not leave a development build behind.
  const env = { ...process.env, NODE_ENV: 'production' };
  const quiet = spawnSync('npm', ['run', '--silent', 'build'], { encoding: 'utf8', env });
  if (quiet.status !== 0) throw new Stop(`The build failed:\n${quiet.stdout}${quiet.stderr}`);
  mkdirSync('build', { recursive: true });
  writeFileSync(marker, stamp);
}
