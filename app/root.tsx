import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import {
  isRouteErrorResponse,
  Link,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
} from 'react-router';
import { useNonce } from './nonce.ts';
import { EarlyPress } from './preview/early-press.tsx';
import { theme } from './theme.ts';

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
        <EarlyPress />
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export default function App() {
  return <Outlet />;
}

export function ErrorBoundary() {
  const error = useRouteError();
  const found = isRouteErrorResponse(error);
  const missing = found && error.status === 404;
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', mt: 24, px: 6 }}>
      <Typography variant="h1">{missing ? 'There is nothing here' : 'Something went wrong'}</Typography>
      <Typography sx={{ my: 4 }}>
        {missing
          ? 'The page was moved or the book was deleted.'
          : 'What you saved is safe. Load the page again; if it happens once more, sign in anew.'}
      </Typography>
      <Button component={Link} to="/" variant="contained">
        To the desk
      </Button>
    </Box>
  );
}
