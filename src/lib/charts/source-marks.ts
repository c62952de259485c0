import { symbol, symbolCircle, symbolDiamond, symbolSquare, symbolStar, symbolTriangle, symbolWye } from 'd3-shape';

const shapes = [symbolCircle, symbolSquare, symbolTriangle, symbolDiamond, symbolStar, symbolWye];

/** The outline that stands for a source, by its place, of a size in square pixels, around 0. */
export const markPath = (place: number, size: number): string =>
  symbol(shapes[((place % shapes.length) + shapes.length) % shapes.length], size)() ?? '';
