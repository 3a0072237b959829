declare module 'plotly.js' {
  interface Plotly {
    react(element: HTMLElement, data: object[], layout: object, config: object): Promise<void>;
    purge(element: HTMLElement): void;
  }
  const plotly: Plotly;
  export default plotly;
}
