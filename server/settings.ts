import { resolve } from 'node:path';
import * as v from 'valibot';

const whole = (text: string) => v.pipe(v.string(), v.minLength(1, text));

const SettingsSchema = v.pipe(
  v.object({
    DATABASE_URL: v.pipe(
      v.string(
        'DATABASE_URL is not set. npm start sets it; a server of your own needs it in the environment.',
      ),
      v.startsWith('postgres'),
    ),
    /** Folder of the file store, shared by every process that serves or makes files; with a bucket, only for files that are being made. */
    QUILL_FILES: v.optional(
      v.pipe(
        v.string(),
        v.transform((path) => resolve(path)),
      ),
      resolve('.quill/files'),
    ),
    /** Address of an S3-compatible service. Set, it keeps the files instead of the folder. */
    QUILL_S3_ENDPOINT: v.optional(v.pipe(v.string(), v.url('should be an address such as https://…'))),
    QUILL_S3_REGION: v.optional(v.string(), 'us-east-1'),
    QUILL_S3_BUCKET: v.optional(whole('is empty.')),
    QUILL_S3_KEY: v.optional(whole('is empty.')),
    QUILL_S3_SECRET: v.optional(whole('is empty.')),
    /** Address of the marketplace and printing service. */
    WRENFAIR_URL: v.optional(v.pipe(v.string(), v.url()), 'http://127.0.0.1:4620'),
    WRENFAIR_KEY: v.optional(v.string(), 'stand-in'),
    /** Signs sessions. Made once by npm start and kept beside the database. */
    SESSION_SECRET: v.pipe(
      v.string('SESSION_SECRET is not set. Any random text of 32 characters or more.'),
      v.minLength(32),
    ),
    /** “yes” when a proxy in front overwrites X-Forwarded-For with the caller's address. */
    TRUST_PROXY: v.pipe(
      v.optional(v.picklist(['yes', 'no'], 'should be yes or no.'), 'no'),
      v.transform((said) => said === 'yes'),
    ),
    /** The address people reach the application at. */
    PUBLIC_URL: v.optional(v.pipe(v.string(), v.url()), 'http://127.0.0.1:4600'),
  }),
  v.check(
    (said) =>
      !said.QUILL_S3_ENDPOINT || Boolean(said.QUILL_S3_BUCKET && said.QUILL_S3_KEY && said.QUILL_S3_SECRET),
    'QUILL_S3_ENDPOINT is set, so QUILL_S3_BUCKET, QUILL_S3_KEY and QUILL_S3_SECRET must be set too.',
  ),
  v.transform((said) => ({
    ...said,
    s3: said.QUILL_S3_ENDPOINT
      ? {
          endpoint: said.QUILL_S3_ENDPOINT,
          region: said.QUILL_S3_REGION,
          bucket: said.QUILL_S3_BUCKET!,
          key: said.QUILL_S3_KEY!,
          secret: said.QUILL_S3_SECRET!,
        }
      : null,
  })),
);

export type Settings = v.InferOutput<typeof SettingsSchema>;

let read: Settings | undefined;

/** The settings of this process, from its environment. @throws Error that names the setting that is wrong */
export function settings(): Settings {
  if (!read) {
    const result = v.safeParse(SettingsSchema, process.env);
    if (!result.success) {
      throw new Error(
        result.issues.map((issue) => `${v.getDotPath(issue) ?? 'settings'}: ${issue.message}`).join('\n'),
      );
    }
    read = result.output;
  }
  return read;
}
