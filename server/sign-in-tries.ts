import { createHash } from 'node:crypto';
import { lt } from 'drizzle-orm';
import { RateLimiterDrizzle, type RateLimiterRes } from 'rate-limiter-flexible';
import { type Database, db } from './db/client.ts';
import { signInTries } from './db/schema.ts';

/** Where the address of a caller is not known, all callers have this one. */
export const NO_ADDRESS = '127.0.0.1';

const MINUTE = 60;
const HOUR = 60 * MINUTE;

/** Of one account from one address. Nobody else's tries stop the account's own press at another address. */
const AT_ADDRESS = { points: 8, duration: MINUTE };
/** Of one account from everywhere, so that many addresses do not guess a password together. */
const OF_ACCOUNT = { points: 100, duration: HOUR };
/** From one address at any accounts. */
const FROM_ADDRESS = { points: 60, duration: MINUTE };
/** From all addresses, where they are not known: a bound to the work of checking passwords. */
const FROM_ALL = { points: 600, duration: MINUTE };

/** Counts tries to sign in, in the database, so that all processes count together. */
export interface SignInTries {
  /**
   * Counts a try before the password is looked at.
   * @returns seconds to wait when it is one too many, else 0
   */
  count(email: string, address: string): Promise<number>;
  /** Forgets the tries at an account that its own press has signed in to. */
  forget(email: string, address: string): Promise<void>;
}

export const FORGET_TRIES_SECONDS = HOUR;

/** Drops what no longer counts. */
export async function forgetOldTries(): Promise<void> {
  await db().delete(signInTries).where(lt(signInTries.expire, new Date()));
}

export function signInTriesIn(database: Database): SignInTries {
  const limiter = (keyPrefix: string, limit: { points: number; duration: number }) =>
    new RateLimiterDrizzle({
      storeClient: database,
      schema: signInTries,
      keyPrefix,
      clearExpiredByTimeout: false, // The worker does it, once for all processes.
      ...limit,
    });
  const atAddress = limiter('at-address', AT_ADDRESS);
  const ofAccount = limiter('of-account', OF_ACCOUNT);
  const fromAddress = limiter('from-address', FROM_ADDRESS);
  const fromAll = limiter('from-all', FROM_ALL);
  // Accounts and addresses are not kept in plain words.
  const hashed = (...parts: string[]) =>
    createHash('sha256').update(JSON.stringify(parts)).digest('base64url');
  const account = (email: string) => email.trim().toLowerCase();
  return {
    async count(email, address) {
      // The narrowest first: a try that it stops is no try of the wider ones, and cannot use them up for others.
      const counters = [
        [atAddress, hashed(account(email), address)],
        [ofAccount, hashed(account(email))],
        [address === NO_ADDRESS ? fromAll : fromAddress, hashed(address)],
      ] as const;
      for (const [counter, key] of counters) {
        try {
          await counter.consume(key);
        } catch (refused) {
          if (refused instanceof Error) throw refused;
          return Math.max(1, Math.ceil((refused as RateLimiterRes).msBeforeNext / 1000));
        }
      }
      return 0;
    },
    async forget(email, address) {
      await Promise.all([
        atAddress.delete(hashed(account(email), address)),
        ofAccount.delete(hashed(account(email))),
      ]);
    },
  };
}
