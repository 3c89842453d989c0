// Chance with a seed, so that what was found can be found again.
export function chanceOf(seed) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    whole: (most) => Math.floor(next() * most),
    pick: (list) => list[Math.floor(next() * list.length)],
    often: (share) => next() < share,
  };
}
