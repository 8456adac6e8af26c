import { FACES_VERSION, type FaceId, isOwnFace } from '#core/faces/index.ts';

/** The address of a face's file, which a browser may keep. */
export const faceUrl = (face: FaceId): string =>
  isOwnFace(face) ? `/resources/${face}` : `/faces/${face}?v=${FACES_VERSION}`;
