/** Blade ids are the name in plain letters, numbered when it is taken. */
export function idFor(name: string, taken: { has: (id: string) => boolean }): string {
  const plain = `own-${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.replace(/-+$/, '').slice(0, 60);
  for (let i = 1; ; i++) {
    const id = i === 1 ? plain : `${plain}-${i}`;
    if (!taken.has(id)) return id;
  }
}
