import type { ChildProcess } from 'node:child_process';

export function startPrograms(options: {
  home: string;
  databaseUrl: string;
  port: number;
  reviewSeconds?: number;
  quiet?: boolean;
  standinPort?: number;
}): Promise<{
  url: string;
  env: Record<string, string>;
  children: Map<string, ChildProcess>;
  stop(): Promise<void>;
}>;
