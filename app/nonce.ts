import { createContext, useContext } from 'react';

const Nonce = createContext<string | undefined>(undefined);

export const NonceProvider = Nonce.Provider;
/** The nonce of this page's inline scripts and styles; known on the server only. */
export const useNonce = () => useContext(Nonce);
