import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Form, NavLink, Outlet } from 'react-router';
import { formatsOf } from '#server/formats.ts';
import { listJobs } from '#server/jobs/queue.ts';
import { Brand } from '../parts/brand.tsx';
import { Commands } from '../parts/commands.tsx';
import { FormatsProvider } from '../parts/formats.tsx';
import { JobsProvider } from '../parts/jobs.tsx';
import { JobsButton } from '../parts/jobs-button.tsx';
import { useKeptFocus } from '../parts/keep-focus.ts';
import { Notices } from '../parts/notices.tsx';
import { Preferences } from '../parts/preferences.tsx';
import { tokens } from '../theme.ts';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/frame.ts';

export async function loader({ request }: Route.LoaderArgs) {
  const visitor = await requireVisitor(request);
  const { workspaceId, workspaceName: name } = visitor;
  const [jobs, formats] = await Promise.all([listJobs(workspaceId), formatsOf(workspaceId)]);
  return { name, jobs, formats };
}

const AREAS = [
  ['/', 'Desk'],
  ['/niches', 'Niches'],
  ['/books', 'Books'],
  ['/words', 'Word banks'],
  ['/submissions', 'Submissions'],
] as const;

/** The bar with the areas in the order of the work, and below it the one that is open. */
export default function Frame({ loaderData }: Route.ComponentProps) {
  useKeptFocus();
  return (
    <FormatsProvider formats={loaderData.formats}>
      <JobsProvider initial={loaderData.jobs}>
        <Notices>
          <Box
            sx={{
              height: '100vh',
              display: 'grid',
              gridTemplateColumns: 'minmax(0, 1fr)',
              gridTemplateRows: '46px minmax(0, 1fr)',
            }}
          >
            <Box
              component="header"
              sx={{
                bgcolor: tokens.ink,
                color: tokens.vellum,
                display: 'flex',
                alignItems: 'stretch',
                px: { xs: 3, md: 5 },
                gap: { xs: 3, md: 6 },
                whiteSpace: 'nowrap',
              }}
            >
              <Box
                component="a"
                href="#work"
                sx={{
                  position: 'absolute',
                  left: -999,
                  '&:focus': { left: 8, top: 8, bgcolor: tokens.paper, p: 2, zIndex: 9 },
                }}
              >
                Skip to main content
              </Box>
              <Brand />
              <Box
                component="nav"
                aria-label="Areas"
                sx={{
                  display: 'flex',
                  gap: 1,
                  '& a': {
                    color: '#d8d2c4',
                    px: { xs: 1.5, md: 3 },
                    display: 'flex',
                    alignItems: 'center',
                    textDecoration: 'none',
                    borderBottom: '3px solid transparent',
                    pt: '3px',
                  },
                  '& a.active': { color: '#fff', borderColor: '#e3b34c' },
                  '& a:hover': { color: '#fff' },
                }}
              >
                {AREAS.map(([to, name]) => (
                  <NavLink key={to} to={to} end={to === '/'}>
                    {name}
                  </NavLink>
                ))}
              </Box>
              <Box sx={{ flex: 1 }} />
              <Box sx={{ display: 'flex', alignItems: 'center', gap: { xs: 1, md: 3 } }}>
                <Commands />
                <JobsButton />
                <Preferences name={loaderData.name} />
                <Form method="post" action="/sign-out">
                  <Button type="submit" size="small" sx={{ color: '#d8d2c4', fontWeight: 400 }}>
                    Sign out
                  </Button>
                </Form>
              </Box>
            </Box>
            <Box
              component="main"
              id="work"
              tabIndex={-1}
              sx={{ overflow: 'auto', minHeight: 0, outline: 'none' }}
            >
              <Outlet />
            </Box>
          </Box>
        </Notices>
      </JobsProvider>
    </FormatsProvider>
  );
}
