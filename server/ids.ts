import { customAlphabet } from 'nanoid';

/** Twelve letters of 32: 60 bits, with no letters that are read as digits. */
export const newId = customAlphabet('abcdefghijkmnpqrstuvwxyz23456789', 12);
