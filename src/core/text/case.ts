/** A sentence or name as it stands within another: its first letter small. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
