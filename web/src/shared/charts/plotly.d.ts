declare module 'plotly.js' {
  interface PictureSettings {
    format: 'png' | 'svg';
    filename: string;
    width: number;
    height: number;
    scale?: number;
  }
  interface Plotly {
    react(element: HTMLElement, data: object[], layout: object, config: object): Promise<void>;
    purge(element: HTMLElement): void;
    downloadImage(figure: { data: object[]; layout: object }, settings: PictureSettings): Promise<string>;
  }
  const plotly: Plotly;
  export default plotly;
}
