import { finished } from '#core/book/index.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { proofSteps } from '#core/proof/index.ts';
import { bookFromFile } from './reading.ts';

/** Prints what the proof finds; 1 when something must be fixed. */
export async function check(file: string, json: boolean): Promise<number> {
  const findings = await finished(proofSteps(await bookFromFile(file), typesetterFromDisk()));
  const mustFix = findings.filter(({ severity }) => severity === 'fix').length;
  if (json) console.log(JSON.stringify({ mustFix, findings }, null, 2));
  else {
    for (const { severity, message } of findings)
      console.log(`${severity === 'fix' ? 'Must fix' : 'Warning '}  ${message}`);
    console.log(mustFix ? `${mustFix} to fix.` : 'Nothing to fix.');
  }
  return mustFix ? 1 : 0;
}
