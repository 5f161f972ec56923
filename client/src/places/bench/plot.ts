/** From the plane to the picture: scales, ticks, and paths of branches. Pure. */

export interface Frame {
  width: number
  height: number
  x: readonly [number, number]
  y: readonly [number, number]
}

export function atX(frame: Frame, x: number): number {
  return ((x - frame.x[0]) / (frame.x[1] - frame.x[0])) * frame.width
}

export function atY(frame: Frame, y: number): number {
  return frame.height - ((y - frame.y[0]) / (frame.y[1] - frame.y[0])) * frame.height
}

/** Return the point of the plane under a pointer, on a picture drawn in `box`. */
export function placeAt(
  frame: Frame,
  box: { left: number; top: number; width: number; height: number },
  clientX: number,
  clientY: number,
): { x: number; y: number } {
  const [left, right] = frame.x
  const [low, high] = frame.y
  return {
    x: left + ((clientX - box.left) / box.width) * (right - left),
    y: high - ((clientY - box.top) / box.height) * (high - low),
  }
}

/** The path of one branch, for the `d` of an SVG path. */
export function branchPath(frame: Frame, points: readonly (readonly number[])[]): string {
  return points
    .map(([x = 0, y = 0], index) => {
      const place = `${atX(frame, x).toFixed(1)} ${atY(frame, y).toFixed(1)}`
      return (index ? 'L' : 'M') + place
    })
    .join('')
}

/** Whole numbers for the axis: at most about `most` of them, 0 and the very edges left out. */
export function ticks(from: number, to: number, most = 9): number[] {
  const step = [1, 2, 5, 10, 20, 50].find((size) => (to - from) / size <= most) ?? 100
  const edge = (to - from) / 30
  const found: number[] = []
  for (let value = Math.ceil((from + edge) / step) * step; value <= to - edge; value += step) {
    if (value !== 0) found.push(value)
  }
  return found
}
