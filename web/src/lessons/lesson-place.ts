import { createContext, useContext } from 'react';

/** Where a board is looked at: at the teacher's desk, before the class, or on paper. */
export type LessonPlace = 'desk' | 'room' | 'paper';

const Context = createContext<LessonPlace>('desk');

/** Says where the boards inside are looked at. */
export const LessonPlaceProvider = Context.Provider;

/** Where this board is looked at. */
export function useLessonPlace(): LessonPlace {
  return useContext(Context);
}
