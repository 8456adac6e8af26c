import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a maze. */
export const mazeWords = printedWords({
  en: {
    maze: 'Maze',
    rules: 'Find the way from the start to the goal.',
    stairs: 'An arrow in a cell leads up or down, to the same place on the next floor.',
    floor: 'Floor {floor}',
    collect: 'Collect {count, plural, one {what lies} other {the {count} things that lie}} on it.',
  },
  es: {
    maze: 'Laberinto',
    rules: 'Encuentra el camino desde la salida hasta la meta.',
    stairs: 'Una flecha en una casilla lleva hacia arriba o hacia abajo, al mismo lugar del piso siguiente.',
    floor: 'Piso {floor}',
    collect: 'Recoge {count, plural, one {lo que hay} other {las {count} cosas que hay}} en él.',
  },
  de: {
    maze: 'Irrgarten',
    rules: 'Finde den Weg vom Start zum Ziel.',
    stairs: 'Ein Pfeil in einem Feld führt hinauf oder hinab, an dieselbe Stelle des nächsten Stockwerks.',
    floor: 'Stockwerk {floor}',
    collect: 'Sammle ein, was darauf liegt: {count, plural, one {ein Stück} other {{count} Stücke}}.',
  },
  fr: {
    maze: 'Labyrinthe',
    rules: 'Trouve le chemin du départ à l’arrivée.',
    stairs: 'Une flèche dans une case mène en haut ou en bas, au même endroit de l’étage voisin.',
    floor: 'Étage {floor}',
    collect: 'Ramasse {count, plural, one {ce qui s’y trouve} other {les {count} objets qui s’y trouvent}}.',
  },
});
