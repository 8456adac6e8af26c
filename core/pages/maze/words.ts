import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a maze. */
export const mazeWords = printedWords({
  en: { maze: 'Maze', rules: 'Find the way from the start to the goal.' },
  es: { maze: 'Laberinto', rules: 'Encuentra el camino desde la salida hasta la meta.' },
  de: { maze: 'Irrgarten', rules: 'Finde den Weg vom Start zum Ziel.' },
  fr: { maze: 'Labyrinthe', rules: 'Trouve le chemin du départ à l’arrivée.' },
});
