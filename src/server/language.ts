/** The first language a browser asks for, as a BCP 47 tag; British English where it asks for none that can be read. */
export function languageOf(headers: Headers): string {
  const [first = ''] = (headers.get('accept-language') ?? '').split(/[,;]/, 1);
  try {
    return Intl.getCanonicalLocales(first.trim())[0] ?? 'en-GB';
  } catch {
    return 'en-GB';
  }
}
