/** Whether a key press belongs to a field that takes text. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLInputElement && !['radio', 'checkbox', 'range', 'button', 'file'].includes(target.type))
  );
}
