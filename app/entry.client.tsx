import { CacheProvider } from '@emotion/react';
import { StrictMode, startTransition } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { HydratedRouter } from 'react-router/dom';
import { pageNonce, styleCache } from './emotion.ts';

startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <CacheProvider value={styleCache(pageNonce())}>
        <HydratedRouter />
      </CacheProvider>
    </StrictMode>,
  );
});
