import { FACES_VERSION, type FaceId } from '#core/faces/index.ts';

/** The address of a face's file, which a browser may keep. */
export const faceUrl = (face: FaceId): string => `/faces/${face}?v=${FACES_VERSION}`;
