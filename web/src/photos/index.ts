export { Film } from './film.tsx';
export { seriesOf } from './series.ts';
export { paint } from './straightened.tsx';
export { type FilmPicture, useFilm } from './use-film.ts';
