import { createReadStream } from 'node:fs';
import type { Readable } from 'node:stream';
import {
  GetObjectCommand,
  HeadObjectCommand,
  PutObjectCommand,
  S3Client,
  S3ServiceException,
} from '@aws-sdk/client-s3';
import { checkedHash, type FileStore, StoreTrouble } from './store.ts';

export interface S3Settings {
  /** Address of the service; a bucket is a path of it. */
  endpoint: string;
  region: string;
  bucket: string;
  key: string;
  secret: string;
}

const CONNECT_MS = 5000;
const TRIES = 3;

/** A store in a bucket of an S3-compatible service. The name of an object is the hash of its content. */
export function s3Store({ endpoint, region, bucket, key, secret }: S3Settings): FileStore {
  const client = new S3Client({
    endpoint,
    region,
    forcePathStyle: true,
    maxAttempts: TRIES,
    credentials: { accessKeyId: key, secretAccessKey: secret },
    requestHandler: { connectionTimeout: CONNECT_MS },
    // A content is named by its hash; not every compatible service knows the other sums.
    requestChecksumCalculation: 'WHEN_REQUIRED',
    responseChecksumValidation: 'WHEN_REQUIRED',
  });
  const named = (hash: string) => ({ Bucket: bucket, Key: checkedHash(hash) });
  const has = (hash: string) =>
    asked(async () => Boolean(await client.send(new HeadObjectCommand(named(hash))))).then(Boolean);
  return {
    async take(path, { hash, size }) {
      if (await has(hash)) return;
      await asked(() =>
        client.send(
          new PutObjectCommand({ ...named(hash), Body: createReadStream(path), ContentLength: size }),
        ),
      );
    },
    async open(hash) {
      const found = await asked(() => client.send(new GetObjectCommand(named(hash))));
      return found ? { size: found.ContentLength ?? 0, stream: found.Body as Readable } : null;
    },
    has,
  };
}

/** The answer, or null where there is no such object. @throws StoreTrouble when the store is away or refuses */
async function asked<T>(ask: () => Promise<T>): Promise<T | null> {
  try {
    return await ask();
  } catch (error) {
    const status = error instanceof S3ServiceException ? error.$metadata.httpStatusCode : undefined;
    const name = (error as Error).name;
    if (name === 'NoSuchKey' || name === 'NotFound' || (status === 404 && name !== 'NoSuchBucket'))
      return null;
    if (error instanceof RangeError || (error as NodeJS.ErrnoException).code === 'ENOENT') throw error;
    throw new StoreTrouble(
      status === 403
        ? 'The file store refuses the key that is set for it. Look at QUILL_S3_KEY and QUILL_S3_SECRET.'
        : name === 'NoSuchBucket'
          ? 'The bucket of the file store is not there. Look at QUILL_S3_BUCKET.'
          : 'The file store cannot be reached. Try again in a minute.',
      { cause: error },
    );
  }
}
