import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CssBaseline from '@mui/material/CssBaseline';
import Stack from '@mui/material/Stack';
import { ThemeProvider } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { type ReactNode, useEffect } from 'react';
import {
  isRouteErrorResponse,
  Link,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useLocation,
  useMatches,
  useRouteError,
} from 'react-router';
import { useNonce } from './nonce.ts';
import { onlyFromHere } from './same-origin.server.ts';
import { theme } from './theme.ts';
import { keepsPage, show } from './trouble.ts';
import { WENT_WRONG } from './went-wrong.ts';

export const middleware = [onlyFromHere];
export const clientMiddleware = [keepsPage];

export const meta = () => [
  { title: 'Restless Quill' },
  { name: 'description', content: 'Low-content paperbacks from recipes' },
];

export function Layout({ children }: { children: ReactNode }) {
  const nonce = useNonce();
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/quill.svg" type="image/svg+xml" />
        <Meta />
        <Links />
        <meta name="emotion-insertion-point" content="" />
      </head>
      <body>
        <ThemeProvider theme={theme}>
          <CssBaseline />
          {children}
        </ThemeProvider>
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

/** Tells what is shown to what keeps it. */
function Shown() {
  const { pathname, search } = useLocation();
  const matches = useMatches();
  useEffect(() => {
    const given = new Map(matches.map(({ id, loaderData }) => [id, loaderData]));
    show({ address: pathname + search, given });
  }, [pathname, search, matches]);
  return null;
}

export default function App() {
  return (
    <>
      <Outlet />
      <Shown />
    </>
  );
}

/** What a page says in place of itself, and whether loading it again may help. */
function saidOf(error: unknown): { heading: string; text: string; again: boolean } {
  const status = isRouteErrorResponse(error) ? error.status : 500;
  if (status === 404)
    return {
      heading: 'There is nothing here',
      text: 'The page was moved or the book was deleted.',
      again: false,
    };
  if (status === 403 && isRouteErrorResponse(error))
    return { heading: 'Request refused', text: String(error.data), again: false };
  return { ...WENT_WRONG, again: true };
}

export function ErrorBoundary() {
  const { heading, text, again } = saidOf(useRouteError());
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', mt: 24, px: 6 }}>
      <Typography variant="h1">{heading}</Typography>
      <Typography sx={{ my: 4 }}>{text}</Typography>
      <Stack direction="row" spacing={3}>
        {again && (
          <Button variant="contained" onClick={() => window.location.reload()}>
            Try again
          </Button>
        )}
        <Button component={Link} to="/" variant={again ? 'outlined' : 'contained'}>
          Back to the desk
        </Button>
      </Stack>
    </Box>
  );
}
