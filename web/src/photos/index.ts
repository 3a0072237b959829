export { Film } from './film.tsx';
export { PhotoDays } from './photo-days.tsx';
export { seriesOf } from './series.ts';
export { paint } from './straightened.tsx';
export { type FilmPicture, useFilm } from './use-film.ts';
