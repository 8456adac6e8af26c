import { printedWords } from '../../printed-words/index.ts';

/** What is printed with questions. */
export const triviaWords = printedWords({
  en: {
    quiz: 'Quiz',
    choices: 'One answer to each question is right.',
    open: 'Write the answers on the lines.',
  },
  es: {
    quiz: 'Preguntas',
    choices: 'Solo una respuesta de cada pregunta es correcta.',
    open: 'Escribe las respuestas en las líneas.',
  },
  de: {
    quiz: 'Quiz',
    choices: 'Zu jeder Frage ist eine Antwort richtig.',
    open: 'Schreibe die Antworten auf die Linien.',
  },
  fr: {
    quiz: 'Questions',
    choices: 'Une seule réponse à chaque question est juste.',
    open: 'Écrivez les réponses sur les lignes.',
  },
});
