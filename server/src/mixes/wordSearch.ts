/**
 * Finds the texts that hold every one of some words, wherever in the text.
 * All texts stand in one string, so that one pass over it finds the rarest
 * looking word; the others are looked for only where that one was found.
 */
export class WordSearch {
  private readonly all: string;
  private readonly starts: Uint32Array;

  /** @param texts without line breaks */
  constructor(private readonly texts: readonly string[]) {
    this.all = texts.join('\n');
    this.starts = new Uint32Array(texts.length + 1);
    texts.forEach((text, i) => {
      this.starts[i + 1] = (this.starts[i] ?? 0) + text.length + 1;
    });
  }

  /** Indices of the texts, rising. @param words at least one, none empty, without line breaks */
  find(words: readonly string[]): number[] {
    const longest = words.reduce((a, b) => (b.length > a.length ? b : a), '');
    const found: number[] = [];
    for (let at = this.all.indexOf(longest); at >= 0;) {
      const index = this.indexAt(at);
      if (words.every((word) => (this.texts[index] ?? '').includes(word))) found.push(index);
      at = this.all.indexOf(longest, this.starts[index + 1]);
    }
    return found;
  }

  private indexAt(position: number): number {
    let [low, high] = [0, this.texts.length];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((this.starts[middle] ?? 0) <= position) low = middle;
      else high = middle;
    }
    return low;
  }
}
