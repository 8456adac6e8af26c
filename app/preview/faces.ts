import alegreyaRegular from '@expo-google-fonts/alegreya/400Regular/Alegreya_400Regular.ttf?url';
import alegreyaItalic from '@expo-google-fonts/alegreya/400Regular_Italic/Alegreya_400Regular_Italic.ttf?url';
import alegreyaBold from '@expo-google-fonts/alegreya/700Bold/Alegreya_700Bold.ttf?url';
import sansRegular from '@expo-google-fonts/alegreya-sans/400Regular/AlegreyaSans_400Regular.ttf?url';
import sansMedium from '@expo-google-fonts/alegreya-sans/500Medium/AlegreyaSans_500Medium.ttf?url';
import sansBold from '@expo-google-fonts/alegreya-sans/700Bold/AlegreyaSans_700Bold.ttf?url';
import notoSans from '@expo-google-fonts/noto-sans/400Regular/NotoSans_400Regular.ttf?url';
import notoHebrew from '@expo-google-fonts/noto-sans-hebrew/400Regular/NotoSansHebrew_400Regular.ttf?url';
import { createTypesetter } from '#core/scene/create-typesetter.ts';
import type { FaceId, Typesetter } from '#core/scene/index.ts';

const URLS: Record<FaceId, string> = {
  'alegreya-regular': alegreyaRegular,
  'alegreya-bold': alegreyaBold,
  'alegreya-italic': alegreyaItalic,
  'alegreya-sans-regular': sansRegular,
  'alegreya-sans-medium': sansMedium,
  'alegreya-sans-bold': sansBold,
  'noto-sans-regular': notoSans,
  'noto-sans-hebrew-regular': notoHebrew,
};

/** In most pages of most books. */
const USUAL: readonly FaceId[] = ['alegreya-sans-regular', 'alegreya-bold', 'alegreya-italic'];

/**
 * Waits for the file, which only a worker may do: most books need few of the faces, and a face is asked for in the
 * middle of setting a line.
 */
function read(face: FaceId): Uint8Array {
  const request = new XMLHttpRequest();
  request.open('GET', URLS[face], false);
  request.responseType = 'arraybuffer';
  request.send();
  if (request.status !== 200) throw new Error(`The typeface ${face} could not be loaded.`);
  return new Uint8Array(request.response as ArrayBuffer);
}

/** A typesetter, in a worker, on the typefaces the files are made with. */
export function typesetterInWorker(): Typesetter {
  const type = createTypesetter(read);
  // A face unfolds its kerning when the first word is set in it: better now, while the page is being put together.
  for (const face of USUAL) type.shape('Aa', face);
  return type;
}
