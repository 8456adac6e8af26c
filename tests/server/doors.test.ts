import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { knownAddress, visitorOf } from '#server/auth.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { member, penName, workspace } from '#server/db/schema.ts';
import { cookieOf, ORIGIN, post, signUp } from './accounts.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
beforeAll(async () => {
  process.env.PUBLIC_URL = ORIGIN;
  press = await openPress('quill_doors');
});
afterAll(async () => {
  await closeDatabase();
  await press.close();
});

const asking = (cookie: string) => visitorOf(new Request(`${ORIGIN}/`, { headers: { cookie } }));
describe('signing up and in', () => {
  it('gives an account a workspace of its own, with its name and a pen name', async () => {
    const answer = await signUp('odile@press.example');
    expect(answer.status).toBe(200);
    const visitor = (await asking(cookieOf(answer)))!;
    expect(visitor).toMatchObject({
      email: 'odile@press.example',
      workspaceName: 'Press of odile@press.example',
    });
    const [home] = await db().select().from(workspace).where(eq(workspace.id, visitor.workspaceId));
    expect(home!.name).toBe('Press of odile@press.example');
    expect(await db().select().from(member).where(eq(member.workspaceId, visitor.workspaceId))).toHaveLength(
      1,
    );
    const names = await db().select().from(penName).where(eq(penName.workspaceId, visitor.workspaceId));
    expect(names.map(({ name }) => name)).toEqual(['Press of odile@press.example']);
  });

  it('sets a cookie that scripts and other sites do not get', async () => {
    const [cookie] = (await signUp('teodor@press.example')).headers.getSetCookie();
    expect(cookie).toMatch(/^quill\./);
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Strict/i);
  });

  it('refuses a short password and a wrong one', async () => {
    expect((await signUp('short@press.example', { password: 'short' })).status).toBe(400);
    await signUp('right@press.example');
    const wrong = await post('/sign-in/email', { email: 'right@press.example', password: 'wrong-password' });
    expect(wrong.status).toBe(401);
    expect(cookieOf(wrong)).toBe('');
  });

  it('nobody is who has no cookie, or one that was made up', async () => {
    expect(await asking('')).toBeNull();
    expect(await asking('quill.session_token=made-up.signature')).toBeNull();
  });

  it('rests after eight tries in a minute, whatever address the caller writes into its headers', async () => {
    let last = 0;
    for (let i = 0; i < 12 && last !== 429; i++)
      last = (
        await post(
          '/sign-in/email',
          { email: 'right@press.example', password: `guess-number-${i}` },
          { 'x-forwarded-for': `10.0.0.${i}` },
        )
      ).status;
    expect(last).toBe(429);
  });
});

describe('addresses that tries are counted by', () => {
  it('are not believed without a proxy that is trusted', () => {
    expect(knownAddress(new Headers({ 'x-forwarded-for': '10.9.8.7' })).get('x-forwarded-for')).toBe(
      '127.0.0.1',
    );
    expect(knownAddress(new Headers()).get('x-forwarded-for')).toBe('127.0.0.1');
  });
});
