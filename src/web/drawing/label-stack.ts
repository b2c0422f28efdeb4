/** Something to be named beside the drawing: where it is, and how much room its name takes. */
export interface StackedLabel {
  readonly targetY: number;
  readonly height: number;
}

/**
 * Top edges for labels so that none overlap, each as near to what it names as its neighbors let it be.
 * Labels come in order from top to bottom; the whole stack stays between `top` and `bottom` if it can.
 */
export function stackLabels(labels: readonly StackedLabel[], top: number, bottom: number): number[] {
  const tops: number[] = [];
  let free = top;
  for (const { targetY, height } of labels) {
    const at = Math.max(free, targetY - height / 2);
    tops.push(at);
    free = at + height;
  }
  let limit = bottom;
  for (let i = labels.length - 1; i >= 0; i--) {
    tops[i] = Math.max(top, Math.min(tops[i]!, limit - labels[i]!.height));
    limit = tops[i]!;
  }
  return tops;
}
