import { printedWords } from '../../printed-words/index.ts';

/** What is printed on sheets of games: names, rules of play, and where the score goes. */
export const gameWords = printedWords({
  en: {
    sheet: 'Games for two',
    noughts: 'Noughts and crosses',
    noughtsRules: 'Take turns to set your sign. Three in a line win.',
    hangman: 'Hangman',
    hangmanRules: 'One thinks of a word, the other names letters. Each wrong one adds a part to the drawing.',
    dots: 'Dots and boxes',
    dotsRules: 'Join two dots that are next to each other. Who closes a box signs it and goes again.',
    four: 'Four in a row',
    fourRules: 'Fill a circle at the lowest free place of a column. Four in a line win, slanting too.',
    triangle: 'No triangle',
    triangleRules:
      'Each in a color of their own, join two points. Whoever makes a triangle of one color first loses.',
    battle: 'Sea battle',
    battleRules:
      'Hide ships of 4, 3, 3, 2, 2 and 2 cells, none touching another. Call cells in turn until one fleet is sunk.',
    sprouts: 'Sprouts',
    sproutsRules:
      'Draw a line from dot to dot and set a new dot on it. No lines cross, no dot has more than three. The last line wins.',
    categories: 'Categories',
    categoriesRules:
      'Choose a letter. Find a word for each column that begins with it. Ten points for a word nobody else has, five for the others.',
    first: 'First',
    second: 'Second',
    mine: 'Mine',
    theirs: 'Theirs',
    wrong: 'Wrong letters',
    letter: 'Letter',
    points: 'Points',
    town: 'Town',
    country: 'Country',
    animal: 'Animal',
    plant: 'Plant',
    food: 'Food',
  },
  es: {
    sheet: 'Juegos para dos',
    noughts: 'Tres en raya',
    noughtsRules: 'Poned vuestro signo por turnos. Gana quien tenga tres en línea.',
    hangman: 'El ahorcado',
    hangmanRules: 'Uno piensa una palabra y el otro dice letras. Cada error añade una parte al dibujo.',
    dots: 'Puntos y cajas',
    dotsRules: 'Unid dos puntos vecinos. Quien cierra una caja la firma y juega otra vez.',
    four: 'Cuatro en línea',
    fourRules:
      'Rellena el círculo libre más bajo de una columna. Ganan cuatro en línea, también en diagonal.',
    triangle: 'Sin triángulo',
    triangleRules:
      'Cada uno con su color, unid dos puntos. Pierde quien cierra primero un triángulo de un solo color.',
    battle: 'Batalla naval',
    battleRules:
      'Esconded barcos de 4, 3, 3, 2, 2 y 2 casillas sin que se toquen. Decid casillas por turnos hasta hundir una flota.',
    sprouts: 'Brotes',
    sproutsRules:
      'Une dos puntos y pon un punto nuevo en la línea. Ninguna línea cruza otra y ningún punto tiene más de tres. Gana la última línea.',
    categories: 'Categorías',
    categoriesRules:
      'Elegid una letra. Buscad para cada columna una palabra que empiece por ella. Diez puntos si nadie más la tiene, cinco si no.',
    first: 'Primero',
    second: 'Segundo',
    mine: 'Mi mar',
    theirs: 'El otro mar',
    wrong: 'Letras erróneas',
    letter: 'Letra',
    points: 'Puntos',
    town: 'Ciudad',
    country: 'País',
    animal: 'Animal',
    plant: 'Planta',
    food: 'Comida',
  },
  de: {
    sheet: 'Spiele für zwei',
    noughts: 'Drei gewinnt',
    noughtsRules: 'Setzt abwechselnd euer Zeichen. Drei in einer Linie gewinnen.',
    hangman: 'Galgenraten',
    hangmanRules:
      'Einer denkt sich ein Wort, der andere nennt Buchstaben. Jeder falsche ergänzt die Zeichnung.',
    dots: 'Käsekästchen',
    dotsRules:
      'Verbinde zwei benachbarte Punkte. Wer ein Kästchen schließt, zeichnet es und ist noch einmal dran.',
    four: 'Vier in einer Reihe',
    fourRules: 'Fülle den untersten freien Kreis einer Spalte. Vier in einer Linie gewinnen, auch schräg.',
    triangle: 'Kein Dreieck',
    triangleRules:
      'Verbindet zwei Punkte, jeder in seiner Farbe. Wer zuerst ein Dreieck einer Farbe schließt, verliert.',
    battle: 'Seeschlacht',
    battleRules:
      'Versteckt Schiffe mit 4, 3, 3, 2, 2 und 2 Feldern, keines berührt ein anderes. Nennt abwechselnd Felder, bis eine Flotte versenkt ist.',
    sprouts: 'Sprossen',
    sproutsRules:
      'Verbinde zwei Punkte und setze einen neuen auf die Linie. Keine Linie kreuzt eine andere, kein Punkt hat mehr als drei. Die letzte Linie gewinnt.',
    categories: 'Stadt, Land, Tier',
    categoriesRules:
      'Wählt einen Buchstaben. Findet für jede Spalte ein Wort damit. Zehn Punkte, wenn es sonst keiner hat, fünf für die anderen.',
    first: 'Erster',
    second: 'Zweiter',
    mine: 'Mein Meer',
    theirs: 'Anderes Meer',
    wrong: 'Falsche Buchstaben',
    letter: 'Buchstabe',
    points: 'Punkte',
    town: 'Stadt',
    country: 'Land',
    animal: 'Tier',
    plant: 'Pflanze',
    food: 'Essen',
  },
  fr: {
    sheet: 'Jeux pour deux',
    noughts: 'Morpion',
    noughtsRules: 'Posez votre signe à tour de rôle. Trois en ligne gagnent.',
    hangman: 'Le pendu',
    hangmanRules:
      'L’un pense à un mot, l’autre propose des lettres. Chaque erreur ajoute un trait au dessin.',
    dots: 'Points et carrés',
    dotsRules: 'Reliez deux points voisins. Qui ferme un carré le signe et rejoue.',
    four: 'Quatre en ligne',
    fourRules:
      'Remplissez le cercle libre le plus bas d’une colonne. Quatre en ligne gagnent, même en biais.',
    triangle: 'Sans triangle',
    triangleRules:
      'Chacun sa couleur, reliez deux points. Qui ferme le premier un triangle d’une seule couleur a perdu.',
    battle: 'Bataille navale',
    battleRules:
      'Cachez des navires de 4, 3, 3, 2, 2 et 2 cases sans qu’ils se touchent. Nommez des cases à tour de rôle jusqu’à couler une flotte.',
    sprouts: 'Pousses',
    sproutsRules:
      'Reliez deux points et posez un point sur le trait. Aucun trait n’en croise un autre, aucun point n’en a plus de trois. Le dernier trait gagne.',
    categories: 'Le petit bac',
    categoriesRules:
      'Choisissez une lettre. Trouvez pour chaque colonne un mot qui commence par elle. Dix points s’il est unique, cinq sinon.',
    first: 'Premier',
    second: 'Second',
    mine: 'Ma mer',
    theirs: 'L’autre mer',
    wrong: 'Lettres fausses',
    letter: 'Lettre',
    points: 'Points',
    town: 'Ville',
    country: 'Pays',
    animal: 'Animal',
    plant: 'Plante',
    food: 'Aliment',
  },
});
