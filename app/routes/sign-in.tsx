import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Paper from '@mui/material/Paper';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Form, redirect, useActionData, useNavigation } from 'react-router';
import * as v from 'valibot';
import { auth, DEMO_ACCOUNT, knownAddress, visitorOf, workspaceOf } from '#server/auth.ts';
import { addPenName } from '#server/pen-names.ts';
import { Brand } from '../parts/brand.tsx';
import { FormField, useCheckedForm } from '../parts/checked-form.tsx';
import { tokens } from '../theme.ts';
import { formFrom } from '../visitor.server.ts';
import type { Route } from './+types/sign-in.ts';

const email = v.pipe(
  v.string(),
  v.trim(),
  v.nonEmpty('Write your e-mail address.'),
  v.email('Write an e-mail address such as name@press.example.'),
  v.maxLength(200),
);
const password = v.pipe(v.string(), v.nonEmpty('Write your password.'), v.maxLength(128));
const SignInFields = v.object({ intent: v.literal('sign in'), email, password });
const SignUpFields = v.object({
  intent: v.literal('sign up'),
  email,
  password: v.pipe(password, v.minLength(10, 'Use a password of 10 characters or more.')),
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'Write the name of your press.'), v.maxLength(100)),
  penName: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(100)), ''),
});
const Intent = v.variant('intent', [v.object({ intent: v.literal('demo') }), SignInFields, SignUpFields]);

export async function loader({ request }: Route.LoaderArgs) {
  if (await visitorOf(request)) throw redirect('/');
  return null;
}

/** Gives the workspace of a new account its first pen name. */
async function namePenName(userId: string, name: string): Promise<void> {
  const workspace = await workspaceOf(userId);
  if (workspace) await addPenName(workspace.id, name);
}

/** Only ways inside this application, so that a link cannot send a visitor elsewhere. */
function wayBack(request: Request): string {
  const to = new URL(request.url).searchParams.get('to') ?? '/';
  return /^\/(?![/\\])/.test(to) ? to : '/';
}

export async function action({ request }: Route.ActionArgs) {
  const to = wayBack(request);
  const read = await formFrom(request, Intent);
  if (!read.success) return { error: read.issues[0].message };
  const asked = read.output.intent === 'demo' ? { ...DEMO_ACCOUNT, intent: 'sign in' as const } : read.output;
  const path = asked.intent === 'sign up' ? '/sign-up/email' : '/sign-in/email';
  // Through the library's own door, so that its rate limit counts every try.
  const headers = knownAddress(request.headers);
  headers.set('content-type', 'application/json');
  headers.set('origin', new URL(auth().options.baseURL!).origin);
  for (const name of ['content-length', 'cookie']) headers.delete(name);
  const { intent: _, ...fields } = asked;
  const { penName: __, ...body } = { penName: '', ...fields };
  const answer = await auth().handler(
    new Request(`${auth().options.baseURL}/sign-in/api${path}`, {
      method: 'POST',
      headers,
      body: JSON.stringify(body),
    }),
  );
  if (answer.ok) {
    const out = new Headers();
    for (const cookie of answer.headers.getSetCookie()) out.append('set-cookie', cookie);
    if (asked.intent === 'sign up') {
      const { user } = (await answer.json()) as { user: { id: string } };
      await namePenName(user.id, asked.penName || asked.name);
    }
    return redirect(to, { headers: out });
  }
  if (answer.status === 429)
    return {
      error: `Too many attempts. Wait ${answer.headers.get('retry-after') ?? 60} seconds, then try again.`,
    };
  if (asked.intent === 'sign up')
    return { error: 'There is an account with this e-mail already. Sign in with it.' };
  return { error: 'E-mail and password do not match an account.' };
}

export default function SignIn() {
  const answer = useActionData<typeof action>();
  const busy = useNavigation().state !== 'idle';
  const [fresh, setFresh] = useState(false);
  return (
    <Box
      component="main"
      sx={{ height: '100vh', overflow: 'auto', display: 'grid', gridTemplateColumns: { md: '1fr 1fr' } }}
    >
      <Box
        sx={{
          bgcolor: tokens.ink,
          color: tokens.vellum,
          p: 16,
          display: { xs: 'none', md: 'flex' },
          flexDirection: 'column',
          justifyContent: 'space-between',
        }}
      >
        <Brand />
        <Box>
          <Typography sx={{ fontFamily: '"Alegreya", serif', fontSize: 40, lineHeight: 1.15, maxWidth: 420 }}>
            From a niche to a book in review, in one sitting.
          </Typography>
          <Typography sx={{ mt: 6, maxWidth: 420, color: '#cdc6b6' }}>
            A book is a recipe. Pages, spine, wrap, prices and checks follow from it, so the numbers cannot
            disagree.
          </Typography>
        </Box>
        <Typography variant="body2" sx={{ color: '#cdc6b6' }}>
          Niches · Flatplan · Wrap · Listing · Proof · Submit
        </Typography>
      </Box>
      <Box sx={{ display: 'grid', placeItems: 'center', p: 6 }}>
        <Paper sx={{ p: 8, width: '100%', maxWidth: 400 }}>
          <Typography variant="h1" sx={{ mb: 5 }}>
            {fresh ? 'Create an account' : 'Sign in'}
          </Typography>
          <Form method="post">
            <input type="hidden" name="intent" value="demo" />
            <Button type="submit" variant="contained" fullWidth disabled={busy}>
              Try the demo as Tin Lantern Press
            </Button>
            <Typography variant="caption" component="p" sx={{ mt: 1 }}>
              The demo account: eleven books, three niches, made-up data.
            </Typography>
          </Form>
          <Divider sx={{ my: 5 }}>or</Divider>
          <AccountForm key={String(fresh)} fresh={fresh} busy={busy} error={answer?.error} />
          <Button sx={{ mt: 3 }} onClick={() => setFresh(!fresh)}>
            {fresh ? 'I have an account' : 'Create an account'}
          </Button>
        </Paper>
      </Box>
    </Box>
  );
}

/** Signs in to an account, or opens one. */
function AccountForm({ fresh, busy, error }: { fresh: boolean; busy: boolean; error: string | undefined }) {
  const { form, fields } = useCheckedForm<unknown>(fresh ? SignUpFields : SignInFields);
  return (
    <Form method="post" {...form}>
      <input type="hidden" name="intent" value={fresh ? 'sign up' : 'sign in'} />
      <Stack spacing={4}>
        {fresh && (
          <>
            <FormField field={fields.name!} label="Name of your press" required autoComplete="organization" />
            <FormField
              field={fields.penName!}
              label="Pen name"
              autoComplete="off"
              helperText="As it stands on your covers. Leave it empty to use the name of your press; more can be added later."
            />
          </>
        )}
        <FormField field={fields.email!} type="email" label="E-mail" required autoComplete="username" />
        <FormField
          field={fields.password!}
          type="password"
          label="Password"
          required
          autoComplete={fresh ? 'new-password' : 'current-password'}
          {...(fresh ? { helperText: '10 characters or more' } : {})}
        />
        {error && (
          <Typography role="alert" color="error">
            {error}
          </Typography>
        )}
        <Button type="submit" variant="outlined" disabled={busy}>
          {fresh ? 'Create account' : 'Sign in'}
        </Button>
      </Stack>
    </Form>
  );
}
