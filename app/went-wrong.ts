/** What a page says that could not be put together. */
export const WENT_WRONG = {
  heading: 'Something went wrong',
  text: 'What you saved is safe. Try again; if it happens again, sign in again.',
};
