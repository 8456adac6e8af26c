import de from 'naughty-words/de.json' with { type: 'json' };
import en from 'naughty-words/en.json' with { type: 'json' };
import es from 'naughty-words/es.json' with { type: 'json' };
import fr from 'naughty-words/fr.json' with { type: 'json' };
import it from 'naughty-words/it.json' with { type: 'json' };
import nl from 'naughty-words/nl.json' with { type: 'json' };
import pl from 'naughty-words/pl.json' with { type: 'json' };
import pt from 'naughty-words/pt.json' with { type: 'json' };
import type { UnwantedLanguage } from './unwanted.ts';

/** The lists of naughty-words (CC BY 4.0) in one file, since they are small and wanted together; see docs/licenses.md. */
export const UNWANTED_LISTS: Record<UnwantedLanguage, readonly string[]> = { de, en, es, fr, it, nl, pl, pt };
