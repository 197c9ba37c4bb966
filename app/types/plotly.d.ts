declare module 'plotly.js-basic-dist-min' {
  export function newPlot(root: HTMLElement, data: unknown[], layout: unknown, config: unknown): Promise<unknown>
  export function react(root: HTMLElement, data: unknown[], layout: unknown, config: unknown): Promise<unknown>
  export function purge(root: HTMLElement): void
}
