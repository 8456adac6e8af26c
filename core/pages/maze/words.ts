import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a maze. */
export const mazeWords = printedWords({
  en: {
    maze: 'Maze',
    rules: 'Find the way from the start to the goal.',
    collect: 'Collect {count, plural, one {what lies} other {the {count} things that lie}} on it.',
  },
  es: {
    maze: 'Laberinto',
    rules: 'Encuentra el camino desde la salida hasta la meta.',
    collect: 'Recoge {count, plural, one {lo que hay} other {las {count} cosas que hay}} en él.',
  },
  de: {
    maze: 'Irrgarten',
    rules: 'Finde den Weg vom Start zum Ziel.',
    collect: 'Sammle ein, was darauf liegt: {count, plural, one {ein Stück} other {{count} Stücke}}.',
  },
  fr: {
    maze: 'Labyrinthe',
    rules: 'Trouve le chemin du départ à l’arrivée.',
    collect: 'Ramasse {count, plural, one {ce qui s’y trouve} other {les {count} objets qui s’y trouvent}}.',
  },
});
