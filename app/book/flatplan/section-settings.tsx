import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Stack from '@mui/material/Stack';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import same from 'fast-deep-equal';
import type { ComponentType } from 'react';
import { alternate, changeSection, newerVersion, takeNewerVersion } from '#core/book/edit.ts';
import { isGroup, kindOf, type Section, sectionIn, sectionName } from '#core/book/sections.ts';
import { maybeStanding } from '#core/book/standing-page.ts';
import { NumberField } from '../../parts/number-field.tsx';
import { OptionFields } from '../../parts/option-fields.tsx';
import { useAfterFirstDrawing } from '../../preview/use-after-first-drawing.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { useLargeType } from '../use-large-type.ts';
import { CluesField } from './clues-field.tsx';
import { DatesField } from './dates-field.tsx';
import { DesignField } from './design-field.tsx';
import { FillCluesField } from './fill-clues-field.tsx';
import { GroupSettings } from './group-settings.tsx';
import { ImportedFiles } from './imported-files.tsx';
import { ItemPanel } from './item-panel.tsx';
import { OtherBooksField } from './other-books-field.tsx';
import { PartedFrom } from './parted-from.tsx';
import { PictureField } from './picture-field.tsx';
import { RichTextField } from './rich-text/rich-text-field.tsx';
import { SolutionSettings } from './solution-settings.tsx';
import { StandingPagePart } from './standing-page-part.tsx';
import { PageSettings, StandingSettings } from './standing-settings.tsx';
import { ListOfTexts, TextsField } from './texts-field.tsx';
import { WordsField } from './words-field.tsx';

/** Controls that belong to one sort of option alone, by the id that its kind gives. */
const CONTROLS: Record<
  string,
  ComponentType<{
    section: Section;
    option: string;
    label: string;
    help?: string | undefined;
    onChange: (value: unknown) => string | null;
  }>
> = {
  words: WordsField,
  design: DesignField,
  dates: DatesField,
  texts: TextsField,
  clues: CluesField,
  'fill-clues': FillCluesField,
  'imported-files': ImportedFiles,
  'other-books': OtherBooksField,
  picture: PictureField,
  'rich-text': RichTextField,
};

/** Words or texts that are not there yet: how much room they take is known only with them. */
const isNoneYet = (value: unknown): boolean => value === '' || same(value, { lists: [] });

/** The settings of the chosen section. Each acts at once. */
export function SectionSettings({
  chosen,
  page,
  onPage,
}: {
  chosen: string | null;
  page: number | null;
  onPage: (page: number) => void;
}) {
  const entry = useBook((state) => sectionIn(state.value.sections, chosen));
  return (
    <Box
      component="aside"
      aria-label="Settings"
      sx={{
        bgcolor: 'background.paper',
        borderLeft: 1,
        borderColor: 'divider',
        overflow: 'auto',
        p: 4,
        position: 'relative',
      }}
    >
      {!entry ? (
        <Typography>Choose a section to see its settings.</Typography>
      ) : isGroup(entry) ? (
        <GroupSettings key={entry.id} entry={entry} />
      ) : (
        <OneSection section={entry} page={page} onPage={onPage} />
      )}
    </Box>
  );
}

function OneSection({
  section,
  page,
  onPage,
}: {
  section: Section;
  page: number | null;
  onPage: (page: number) => void;
}) {
  const edit = useBook((state) => state.edit);
  const kind = kindOf(section);
  const newer = newerVersion(section);
  const next = useBook(({ value: { sections } }) => {
    const place = sections.findIndex(({ id }) => id === section.id);
    return place < 0 ? undefined : sections[place + 1];
  });
  const change = (key: string, to: (now: Section) => Section) =>
    edit((recipe) => changeSection(recipe, section.id, to), `${section.id} ${key}`);
  const setOption = (key: string, value: unknown) =>
    change(key, (now) => ({ ...now, options: { ...now.options, [key]: value } }));
  const giveLargeType = useLargeType();
  const setContent = (key: string, value: unknown) => {
    const refused = setOption(key, value);
    if (!refused && isNoneYet(section.options[key])) void giveLargeType(`${section.id} ${key}`, [section.id]);
    return refused;
  };
  const { extent } = kind;
  // The page of a puzzle stands above them: they are out of sight until somebody scrolls.
  const settled = useAfterFirstDrawing() || extent !== 'items';
  const member = useBook(({ value: { sections } }) => !sections.some(({ id }) => id === section.id));
  const { plan } = useOpenBook();
  const own = plan.pages.filter((one) => one.section === section.id && one.role === 'body');
  const facing = own.length > 0 && own.every(({ part }) => part === 'left' || part === 'right');
  const filled = section.fillTo !== undefined && plan.filled?.entry === section.id;
  return (
    <>
      <Typography variant="h2" sx={{ mb: 3 }}>
        {sectionName(section)}
      </Typography>
      {newer && (
        <Alert severity="info" variant="outlined">
          Made with version {section.version} of this kind. Version {newer.version}: {newer.changes.join(' ')}
          <Button size="small" onClick={() => edit((recipe) => takeNewerVersion(recipe, section.id))}>
            Use version {newer.version}
          </Button>
        </Alert>
      )}
      {extent === 'items' && <ItemPanel key={section.id} section={section} page={page} onPage={onPage} />}
      <Stack spacing={3.5} sx={{ mt: 3 }}>
        {section.items !== undefined && !filled && (
          <NumberField
            label={`Number of ${kind.itemName ?? 'item'}s`}
            value={section.items}
            min={1}
            max={828}
            onCommit={(items) => change('items', (now) => ({ ...now, items }))}
          />
        )}
        {section.pages !== undefined && !filled && (
          <NumberField
            label={facing ? 'Number of spreads' : 'Number of pages'}
            value={section.pages}
            min={1}
            max={828}
            onCommit={(pages) => change('pages', (now) => ({ ...now, pages }))}
          />
        )}
        <PartedFrom section={section} />
        {(kind.numbered || kind.romanNumbers) && (
          <FormControlLabel
            control={
              <Switch
                checked={section.pageNumbers !== false}
                onChange={(_, on) =>
                  change('page numbers', ({ pageNumbers: _was, ...now }) =>
                    on ? now : { ...now, pageNumbers: false },
                  )
                }
              />
            }
            label="Page numbers"
          />
        )}
        {!member && <StandingSettings entry={section} />}
        {maybeStanding(section) && <StandingPagePart section={section} />}
        <PageSettings section={section} member={member} facing={facing} />
        {settled && (
          <>
            <OptionFields
              schema={kind.options}
              values={section.options}
              owner={section.id}
              onChange={setOption}
              custom={(field) => {
                const Control = CONTROLS[field.id];
                return (
                  Control && (
                    <Control
                      section={section}
                      option={field.key}
                      label={field.label}
                      help={field.help}
                      onChange={(value) => setContent(field.key, value)}
                    />
                  )
                );
              }}
            />
            {section.solutions && (
              <SolutionSettings
                sections={[section]}
                solutions={section.solutions}
                onChange={(more) =>
                  change('solutions', (now) => ({ ...now, solutions: { ...now.solutions!, ...more } }))
                }
              />
            )}
            {extent === 'items' && (
              <ListOfTexts
                label="Facts at the foot"
                help="A fact or quotation in each line, and who said it after an upright bar. One stands at the foot of each page, in turn."
                rows={3}
                value={section.facts ?? ''}
                onChange={(facts) =>
                  change('facts', ({ facts: _was, ...now }) => (facts.trim() ? { ...now, facts } : now))
                }
              />
            )}
          </>
        )}
        {next && (
          <Button variant="outlined" onClick={() => edit((recipe) => alternate(recipe, section.id))}>
            Alternate with the next: {isGroup(next) ? 'alternating pages' : sectionName(next).toLowerCase()}
          </Button>
        )}
        {extent === 'items' && Object.keys(section.pins ?? {}).length > 0 && (
          <Button variant="outlined" onClick={() => change('pins', (now) => ({ ...now, pins: {} }))}>
            Unpin all {Object.keys(section.pins!).length}
          </Button>
        )}
      </Stack>
    </>
  );
}
