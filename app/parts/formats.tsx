import { createContext, type ReactNode, useContext } from 'react';
import { type Formats, formatting, USUAL_FORMATS } from '#core/formats.ts';

const FormatsContext = createContext(formatting(USUAL_FORMATS));

/** Everything inside writes days and lengths as the workspace reads them. */
export const FormatsProvider = ({ formats, children }: { formats: Formats; children: ReactNode }) => (
  <FormatsContext.Provider value={formatting(formats)}>{children}</FormatsContext.Provider>
);

/** How days, times and lengths are written here. */
export const useFormats = () => useContext(FormatsContext);
