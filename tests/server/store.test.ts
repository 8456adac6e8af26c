import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer, text } from 'node:stream/consumers';
import S3rver from 's3rver';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { folderStore } from '#server/store/folder.ts';
import { contentOf, type FileStore, StoreTrouble, whenStoreIsThere } from '#server/store/index.ts';
import { s3Store } from '#server/store/s3.ts';

const folder = mkdtempSync(join(tmpdir(), 'quill-store-'));
const BUCKET = 'quill';

let s3: S3rver;
let s3Port: number;
let front: Server;
let away = false;

/** An S3-compatible service, and before it a door that can be shut, as a network does. */
beforeAll(async () => {
  s3 = new S3rver({
    port: 0,
    address: '127.0.0.1',
    silent: true,
    directory: mkdtempSync(join(tmpdir(), 'quill-s3-')),
    configureBuckets: [{ name: BUCKET, configs: [] }],
  });
  s3Port = (await s3.run()).port;
  front = createServer((incoming, answer) => {
    if (away) {
      incoming.destroy();
      return;
    }
    const { method, url, headers } = incoming;
    const passed = request({ host: '127.0.0.1', port: s3Port, method, path: url, headers }, (from) => {
      answer.writeHead(from.statusCode!, from.headers);
      from.pipe(answer);
    });
    passed.on('error', () => answer.destroy());
    incoming.pipe(passed);
  });
  await new Promise<void>((ready) => front.listen(0, '127.0.0.1', ready));
});
afterAll(async () => {
  front.closeAllConnections();
  front.close();
  await s3.close();
});
afterEach(() => {
  away = false;
});

const settings = (more: object = {}) => ({
  endpoint: `http://127.0.0.1:${(front.address() as AddressInfo).port}`,
  region: 'us-east-1',
  bucket: BUCKET,
  key: 'S3RVER',
  secret: 'S3RVER',
  ...more,
});
const written = (content: string | Buffer) => {
  const path = join(mkdtempSync(join(folder, 'one-')), 'file');
  writeFileSync(path, content);
  return path;
};
const kept = async (store: FileStore, content: string | Buffer) => {
  const path = written(content);
  const found = await contentOf(path);
  await store.take(path, found);
  return { path, ...found };
};
const NOWHERE = '0'.repeat(64);

describe.each([
  ['a folder', () => folderStore(join(folder, 'store'))],
  ['a bucket of an S3-compatible service', () => s3Store(settings())],
] as const)('%s', (_, storeOf) => {
  it('gives a content back as it was, with its size, and knows what it has', async () => {
    const store = storeOf();
    const { hash, size } = await kept(store, 'Smoker lit, veil on.');
    expect(await store.has(hash)).toBe(true);
    const file = (await store.open(hash))!;
    expect([file.size, await text(file.stream)]).toEqual([size, 'Smoker lit, veil on.']);
    expect([await store.has(NOWHERE), await store.open(NOWHERE)]).toEqual([false, null]);
  });

  it('takes the same content twice, and leaves the file to whoever brought it', async () => {
    const store = storeOf();
    const first = await kept(store, 'twice');
    const second = await kept(store, 'twice');
    expect(second.hash).toBe(first.hash);
    expect(await contentOf(first.path)).toEqual(await contentOf(second.path));
    expect(await text((await store.open(first.hash))!.stream)).toBe('twice');
  });

  it('takes large contents as streams, byte for byte', async () => {
    const store = storeOf();
    const large = Buffer.alloc(9 * 1024 * 1024, 'honey ');
    const { hash, size } = await kept(store, large);
    const file = (await store.open(hash))!;
    expect(file.size).toBe(size);
    expect((await buffer(file.stream)).equals(large)).toBe(true);
  });

  it('takes nothing but hashes as names', async () => {
    const store = storeOf();
    for (const name of ['../../etc/passwd', '', 'G'.repeat(64), `${NOWHERE}/..`])
      await expect((async () => store.open(name))()).rejects.toThrow(RangeError);
  });
});

describe('a folder', () => {
  it('holds each content once and no half of one', async () => {
    const store = folderStore(join(folder, 'once'));
    const { hash } = await kept(store, 'once');
    await kept(store, 'once');
    expect(readdirSync(join(folder, 'once', hash.slice(0, 2)))).toEqual([hash.slice(2)]);
    await expect(store.take(join(folder, 'nothing'), { hash: NOWHERE, size: 1 })).rejects.toThrow(/ENOENT/);
    expect(readdirSync(join(folder, 'once', '00'))).toEqual([]);
  });
});

describe('an S3 store that is away', () => {
  it('is trouble that says so, and whoever waits goes on when it is back', async () => {
    const store = s3Store(settings());
    const { hash } = await kept(store, 'patient');
    away = true;
    await expect(store.open(hash)).rejects.toThrow(StoreTrouble);
    const told: string[] = [];
    const file = await whenStoreIsThere(
      () => store.open(hash),
      (trouble) => {
        told.push(trouble.message);
        away = false;
      },
    );
    expect(told).toEqual(['The file store cannot be reached. Try again in a minute.']);
    expect(await text(file!.stream)).toBe('patient');
  });

  it('says which setting to look at when it refuses', async () => {
    await expect(s3Store(settings({ key: 'NOBODY' })).open(NOWHERE)).rejects.toThrow(/QUILL_S3_KEY/);
    await expect(kept(s3Store(settings({ bucket: 'nowhere' })), 'x')).rejects.toThrow(/QUILL_S3_BUCKET/);
  });

  it('whatever is no trouble of the store is not tried again', async () => {
    let tries = 0;
    const broken = () => {
      tries++;
      return Promise.reject(new Error('ours'));
    };
    await expect(whenStoreIsThere(broken)).rejects.toThrow('ours');
    expect(tries).toBe(1);
  });
});
