import Box from '@mui/material/Box';
import { useEffect, useRef, useState } from 'react';
import type { FaceId } from '#core/faces/index.ts';
import { faceUrl } from '../preview/faces-url.ts';

/** Under this name the browser has a face, once it is loaded. */
const browserName = (face: FaceId): string => `print-${face}`;

const loading = new Map<FaceId, Promise<unknown>>();

function load(face: FaceId): Promise<unknown> {
  let loaded = loading.get(face);
  if (!loaded) {
    const font = new FontFace(browserName(face), `url("${faceUrl(face)}")`);
    document.fonts.add(font);
    loaded = font.load();
    loading.set(face, loaded);
  }
  return loaded;
}

/** The name under which a typeface of print is at hand for a style, once it is loaded; that of the page until then. */
export function useFace(face: FaceId): string {
  const [ready, setReady] = useState<FaceId | null>(null);
  useEffect(() => {
    let wanted = true;
    void load(face).then(
      () => wanted && setReady(face),
      () => {},
    );
    return () => {
      wanted = false;
    };
  }, [face]);
  return ready === face ? `"${browserName(face)}"` : 'inherit';
}

/** Words in a typeface of print, which is loaded when they come into view. */
export function FaceName({ face, children }: { face: FaceId; children: string }) {
  const element = useRef<HTMLElement>(null);
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let wanted = true;
    const seen = new IntersectionObserver(([entry]) => {
      if (!entry?.isIntersecting) return;
      seen.disconnect();
      // One that cannot be loaded stands in the face of the page.
      void load(face).then(
        () => wanted && setReady(true),
        () => {},
      );
    });
    seen.observe(element.current!);
    return () => {
      wanted = false;
      seen.disconnect();
    };
  }, [face]);
  return (
    <Box
      component="span"
      ref={element}
      style={ready ? { fontFamily: `"${browserName(face)}"` } : {}}
      sx={{ fontSize: 17, lineHeight: 1.3 }}
    >
      {children}
    </Box>
  );
}
