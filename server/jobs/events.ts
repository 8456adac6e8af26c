import { longLivedSql } from '../db/client.ts';
import { JOB_CHANNEL, listJobs } from './queue.ts';

type Listener = () => void;
const listeners = new Map<string, Set<Listener>>();
let listening: Promise<unknown> | undefined;

/** One connection listens for the whole process and wakes those who wait for the workspace. */
function listen(): Promise<unknown> {
  const wake = (waiting: Iterable<Listener> | undefined) => {
    for (const listener of waiting ?? []) listener();
  };
  listening ??= longLivedSql().listen(
    JOB_CHANNEL,
    (workspaceId) => wake(listeners.get(workspaceId)),
    // Heard again after the connection was lost: what was told meanwhile was missed.
    () => {
      for (const waiting of listeners.values()) wake(waiting);
    },
  );
  listening.catch(() => {
    listening = undefined;
  });
  return listening;
}

/** Comment lines keep proxies from closing a silent connection. */
const HEARTBEAT_SECONDS = 20;

/** The workspace's jobs as server-sent events (WHATWG HTML §9.2): at once, then after every change. */
export function jobEvents(workspaceId: string, signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  let close = () => {};
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      let sending = false;
      let again = false;
      const send = async () => {
        if (sending) {
          again = true;
          return;
        }
        sending = true;
        try {
          do {
            again = false;
            const jobs = await listJobs(workspaceId);
            controller.enqueue(encoder.encode(`data: ${JSON.stringify(jobs)}\n\n`));
          } while (again);
        } catch {
          close();
        } finally {
          sending = false;
        }
      };
      const wake = () => void send();
      const heartbeat = setInterval(() => {
        try {
          controller.enqueue(encoder.encode(': still here\n\n'));
        } catch {
          close();
        }
      }, HEARTBEAT_SECONDS * 1000);
      close = () => {
        clearInterval(heartbeat);
        listeners.get(workspaceId)?.delete(wake);
        signal.removeEventListener('abort', close);
        try {
          controller.close();
        } catch {
          // Closed by the reader already.
        }
      };
      signal.addEventListener('abort', close);
      const waiting = listeners.get(workspaceId) ?? new Set<Listener>();
      listeners.set(workspaceId, waiting.add(wake));
      try {
        await listen();
      } catch {
        close();
        return;
      }
      await send();
    },
    cancel: () => close(),
  });
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    },
  });
}
