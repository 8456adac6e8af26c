import type { Config } from '@react-router/dev/config';

export default {
  ssr: true,
  // Some thirty routes: telling all of them at once costs less than a question at every first visit.
  routeDiscovery: { mode: 'initial' },
  future: {
    v8_middleware: true,
    v8_splitRouteModules: true,
    v8_viteEnvironmentApi: true,
    v8_passThroughRequests: true,
    v8_trailingSlashAwareDataRequests: true,
  },
} satisfies Config;
