/**
 * A picture as an address, cut to the shape of what it shows: a face lies in the middle of a square picture, as large
 * as its longer side.
 */
export function faceAddress(picture: ImageData, wide: number, high: number): string {
  const whole = document.createElement('canvas');
  [whole.width, whole.height] = [picture.width, picture.height];
  whole.getContext('2d')?.putImageData(picture, 0, 0);
  const largest = Math.max(wide, high);
  const [w, h] = [(picture.width * wide) / largest, (picture.height * high) / largest].map(Math.round) as [
    number,
    number,
  ];
  const cut = document.createElement('canvas');
  [cut.width, cut.height] = [w, h];
  cut.getContext('2d')?.drawImage(whole, (picture.width - w) / 2, (picture.height - h) / 2, w, h, 0, 0, w, h);
  return cut.toDataURL('image/png');
}
