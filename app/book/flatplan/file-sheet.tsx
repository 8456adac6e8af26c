import { useEffect, useState } from 'react';
import type { NamedResource } from '#core/resources/index.ts';
import type { Picture } from '../../preview/on-canvas.ts';
import { ShownPicture } from '../../preview/picture.tsx';
import { drawingRenderer } from '../../preview/renderers.ts';

/** A page of a file, small: as high as there is room, or as wide. @param page counted from 1 */
export function FileSheet({
  file,
  page,
  room,
}: {
  file: NamedResource;
  page: number;
  room: { width: number; height: number };
}) {
  const [picture, setPicture] = useState<Picture | null>(null);
  const pixels = Math.round(room.width * (globalThis.devicePixelRatio ?? 1));
  useEffect(() => {
    let wanted = true;
    void drawingRenderer()
      .sheets(file, [page], pixels)
      .then(([drawn]) => {
        if (wanted && drawn) setPicture(drawn);
      });
    return () => {
      wanted = false;
    };
  }, [file, page, pixels]);
  const shape = picture ? picture.height / picture.width : room.height / room.width;
  const width = Math.min(room.width, room.height / shape);
  return (
    <ShownPicture
      picture={picture ?? undefined}
      width={width}
      height={width * shape}
      label={`Page ${page} of ${file.name}`}
    />
  );
}
