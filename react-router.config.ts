import type { Config } from '@react-router/dev/config';

export default {
  ssr: true,
  // Some thirty routes: telling all of them at once costs less than a question at every first visit.
  routeDiscovery: { mode: 'initial' },
  // Where a request comes from is asked once, of every route, by the middleware of the root: it knows the address people
  // use, which behind a proxy is not the one that the request arrives at.
  allowedActionOrigins: ['**'],
  future: {
    v8_middleware: true,
    v8_splitRouteModules: true,
    v8_viteEnvironmentApi: true,
    v8_passThroughRequests: true,
    v8_trailingSlashAwareDataRequests: true,
  },
} satisfies Config;
