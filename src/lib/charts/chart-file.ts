import { chartFile as say } from './words';

const looks = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor'
] as const;

/** A chart as a standalone SVG document, with the page's colours inlined and a background. */
export function svgFile(chart: SVGSVGElement): string {
  const copy = chart.cloneNode(true) as SVGSVGElement;
  const [mine, theirs] = [chart.querySelectorAll('*'), copy.querySelectorAll('*')];
  [chart, ...mine].forEach((element, i) => {
    const computed = getComputedStyle(element);
    const target = i ? theirs[i - 1]! : copy;
    target.removeAttribute('class');
    target.removeAttribute('style');
    for (const look of looks) {
      const value = computed.getPropertyValue(look);
      if (value) target.setAttribute(look, value);
    }
  });
  const { width, height } = chart.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', getComputedStyle(document.documentElement).getPropertyValue('--sheet').trim());
  copy.prepend(ground);
  return new XMLSerializer().serializeToString(copy);
}

/** The same as a picture, twice as large as on the page. */
export async function pngFile(chart: SVGSVGElement): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgFile(chart))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = chart.viewBox.baseVal.width * 2;
  canvas.height = chart.viewBox.baseVal.height * 2;
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error(say.noPicture))))
  );
}
