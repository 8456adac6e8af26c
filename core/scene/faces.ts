import type { FaceId } from './marks.ts';

/** Where each typeface of print lies: a file of a package, TrueType, with its licence beside it. */
export const FACE_FILES: Record<FaceId, string> = {
  'alegreya-regular': '@expo-google-fonts/alegreya/400Regular/Alegreya_400Regular.ttf',
  'alegreya-bold': '@expo-google-fonts/alegreya/700Bold/Alegreya_700Bold.ttf',
  'alegreya-italic': '@expo-google-fonts/alegreya/400Regular_Italic/Alegreya_400Regular_Italic.ttf',
  'alegreya-sans-regular': '@expo-google-fonts/alegreya-sans/400Regular/AlegreyaSans_400Regular.ttf',
  'alegreya-sans-medium': '@expo-google-fonts/alegreya-sans/500Medium/AlegreyaSans_500Medium.ttf',
  'alegreya-sans-bold': '@expo-google-fonts/alegreya-sans/700Bold/AlegreyaSans_700Bold.ttf',
  'noto-sans-regular': '@expo-google-fonts/noto-sans/400Regular/NotoSans_400Regular.ttf',
  'noto-sans-hebrew-regular': '@expo-google-fonts/noto-sans-hebrew/400Regular/NotoSansHebrew_400Regular.ttf',
};

/** Asked in this order for a letter that the wanted face does not have. */
export const FALLBACK_FACES: readonly FaceId[] = ['noto-sans-regular', 'noto-sans-hebrew-regular'];
