/** The language for whoever asks for none that can be read. */
const USUAL = 'en-GB';

/**
 * The first language a browser asks for, as one of the languages that dates and numbers are written in here: a BCP 47 tag. What a client may
 * write behind a language is left out, so that there are only so many.
 */
export function languageOf(headers: Headers): string {
  const [first = ''] = (headers.get('accept-language') ?? '').split(/[,;]/, 1);
  try {
    const { language, region } = new Intl.Locale(first.trim());
    const tag = region ? `${language}-${region}` : language;
    return Intl.NumberFormat.supportedLocalesOf([tag])[0] ?? USUAL;
  } catch {
    return USUAL;
  }
}
