/** Whether a text holds every word that was typed, in any order; everything does where nothing was typed. */
export function holdsWords(text: string, typed: string): boolean {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const lower = text.toLowerCase();
  return words.every((word) => lower.includes(word));
}
