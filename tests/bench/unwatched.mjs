// A browser as people have it: nobody is told of what it asks for, shows and runs. To tell a driver of it, as in tests,
// takes a browser a good part of the time in which a page opens.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launch } from 'chrome-launcher';
import remote from 'chrome-remote-interface';

const VIEW = { width: 1280, height: 800, deviceScaleFactor: 1, mobile: false };

/**
 * Starts one, with a profile of its own.
 * @param chromePath the program of the browser
 * @param chromeFlags what it is started with, beside what makes it headless
 * @returns how to go to a page, what an expression is worth there, and how to end it
 */
export async function openUnwatched(chromePath, chromeFlags) {
  const userDataDir = mkdtempSync(join(tmpdir(), 'quill-bench-'));
  const browser = await launch({
    chromePath,
    chromeFlags: ['--headless', ...chromeFlags],
    ignoreDefaultFlags: true,
    userDataDir,
    startingUrl: 'about:blank',
    handleSIGINT: false,
  });
  const page = await remote({ port: browser.port });
  await page.Emulation.setDeviceMetricsOverride(VIEW);
  return {
    /** Begins to open a page. */
    go: (url) => page.Page.navigate({ url }),
    /** @param expression of the page, awaited if it is a promise */
    async worth(expression) {
      const asked = { expression, awaitPromise: true, returnByValue: true };
      const { result, exceptionDetails } = await page.Runtime.evaluate(asked);
      if (exceptionDetails) throw new Error(exceptionDetails.exception?.description ?? exceptionDetails.text);
      return result.value;
    },
    async close() {
      await page.close();
      browser.kill();
      rmSync(userDataDir, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
    },
  };
}
