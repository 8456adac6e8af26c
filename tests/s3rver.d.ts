declare module 's3rver' {
  /** An S3-compatible service for tests; see its README. */
  export default class S3rver {
    constructor(options: {
      port: number;
      address: string;
      silent: boolean;
      directory: string;
      configureBuckets: { name: string; configs: string[] }[];
    });
    run(): Promise<{ address: string; port: number }>;
    close(): Promise<void>;
  }
}
