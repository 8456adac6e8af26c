import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_ACCOUNT, knownAddress, visitorOf } from '#server/auth.ts';
import { READY_BANKS } from '#server/banks/ready.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { member, session, workspace } from '#server/db/schema.ts';
import { addPenName, listPenNames, usualPenName } from '#server/pen-names.ts';
import { listResources } from '#server/resources/resources.ts';
import { signInTriesIn } from '#server/sign-in-tries.ts';
import { requireVisitor } from '../../app/visitor.server.ts';
import { cookieOf, ORIGIN, PASSWORD, post, signUp } from './accounts.ts';
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
  it('gives an account a workspace of its own, with its name, a pen name for new books and word banks', async () => {
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
    // Its name is the pen name of new books until it has one; word banks are there from the beginning.
    expect(await listPenNames(visitor.workspaceId)).toEqual([]);
    expect(await usualPenName(visitor.workspaceId, visitor.workspaceName)).toBe(home!.name);
    await addPenName(visitor.workspaceId, 'Ada Reed');
    expect(await usualPenName(visitor.workspaceId, visitor.workspaceName)).toBe('Ada Reed');
    const banks = await listResources(visitor.workspaceId, 'words');
    expect(banks.map(({ name }) => name).sort()).toEqual(READY_BANKS.map(({ name }) => name).sort());
  });

  it('sets a cookie that scripts and other sites do not get', async () => {
    const [cookie] = (await signUp('teodor@press.example')).headers.getSetCookie();
    expect(cookie).toMatch(/^quill\./);
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Strict/i);
  });

  it('asks once who sent a request, and anew at the next one', async () => {
    const cookie = cookieOf(await signUp('pilar@press.example'));
    const request = () => new Request(`${ORIGIN}/`, { headers: { cookie } });
    const page = request();
    const [head, body] = await Promise.all([requireVisitor(page), requireVisitor(page)]);
    expect(head).toBe(body);
    await db().delete(session).where(eq(session.userId, head.userId));
    const refused = await requireVisitor(request()).catch((answer: Response) => answer);
    expect(refused).toMatchObject({ status: 302 });
    expect((refused as Response).headers.get('location')).toBe('/sign-in?to=%2F');
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

  const signIn = (email: string, password: string, headers = {}) =>
    post('/sign-in/email', { email, password }, headers);

  it('rests after eight wrong tries at an account, whatever address the caller writes into its headers', async () => {
    await signUp('tried@press.example');
    await signUp('other@press.example');
    await signUp(DEMO_ACCOUNT.email, { password: DEMO_ACCOUNT.password });
    const answers: number[] = [];
    for (let i = 0; i < 12; i++)
      answers.push(
        (await signIn('tried@press.example', `guess-number-${i}`, { 'x-forwarded-for': `10.0.0.${i}` }))
          .status,
      );
    expect(answers).toEqual([...Array(8).fill(401), ...Array(4).fill(429)]);
    const right = await signIn('tried@press.example', PASSWORD);
    expect(right.status).toBe(429);
    expect(Number(right.headers.get('retry-after'))).toBeGreaterThan(0);
    // Written otherwise it is the same account.
    expect((await signIn('Tried@Press.example', PASSWORD)).status).toBe(429);
    // Nobody else rests with it.
    expect((await signIn('other@press.example', PASSWORD)).status).toBe(200);
    for (let i = 0; i < 10; i++) await signIn(DEMO_ACCOUNT.email, `guess-number-${i}`);
    expect((await signIn(DEMO_ACCOUNT.email, DEMO_ACCOUNT.password)).status).toBe(200);
  });

  it('forgets wrong tries when the right password comes', async () => {
    await signUp('forgetful@press.example');
    for (let round = 0; round < 2; round++) {
      for (let i = 0; i < 7; i++)
        expect((await signIn('forgetful@press.example', `guess-number-${i}`)).status).toBe(401);
      expect((await signIn('forgetful@press.example', PASSWORD)).status).toBe(200);
    }
  });

  it('counts by address too where addresses are known', async () => {
    const tries = signInTriesIn(db());
    const count = (email: string, address: string) => tries.count(email, address);
    for (let i = 0; i < 8; i++) expect(await count('known@press.example', '192.0.2.1')).toBe(0);
    expect(await count('known@press.example', '192.0.2.1')).toBeGreaterThan(0);
    // The account's own press, elsewhere, signs in; and so do others from the address.
    expect(await count('known@press.example', '192.0.2.2')).toBe(0);
    let accounts = 0;
    while (accounts < 100 && (await count(`${accounts}@press.example`, '192.0.2.1')) === 0) accounts++;
    // Sixty tries a minute, eight of which are spent.
    expect(accounts).toBe(52);
    // Guessed from many addresses, an account rests for all.
    let addresses = 0;
    while (addresses < 200 && (await count('sought@press.example', `198.51.100.${addresses}`)) === 0)
      addresses++;
    expect(addresses).toBe(100);
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
