import { printedWords } from './catalog.ts';

/** What every book says, whatever its pages: page numbers by the form of the recipe, the series, the solutions. */
export const bookWords = printedWords({
  en: {
    '1': '{page}',
    'Page 1': 'Page {page}',
    '1 of 100': '{page} of {pages}',
    'Page 1 of 100': 'Page {page} of {pages}',
    series: 'Volume {volume} of {series}',
    hints: 'Hints',
    solutions: 'Solutions',
  },
  es: {
    '1': '{page}',
    'Page 1': 'Página {page}',
    '1 of 100': '{page} de {pages}',
    'Page 1 of 100': 'Página {page} de {pages}',
    series: '{series}, volumen {volume}',
    hints: 'Pistas',
    solutions: 'Soluciones',
  },
  de: {
    '1': '{page}',
    'Page 1': 'Seite {page}',
    '1 of 100': '{page} von {pages}',
    'Page 1 of 100': 'Seite {page} von {pages}',
    series: '{series}, Band {volume}',
    hints: 'Tipps',
    solutions: 'Lösungen',
  },
  fr: {
    '1': '{page}',
    'Page 1': 'Page {page}',
    '1 of 100': '{page} sur {pages}',
    'Page 1 of 100': 'Page {page} sur {pages}',
    series: '{series}, volume {volume}',
    hints: 'Indices',
    solutions: 'Solutions',
  },
});
