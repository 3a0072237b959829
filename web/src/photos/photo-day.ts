import { isCalendarDay } from '@bright-sprout/core/shared';

/** The day a photo was taken: the camera's own, or that of the file, which may only be when it was copied. */
export interface PhotoDay {
  readonly day: string;
  readonly isCamera: boolean;
}

/** Proposes the day of a photo from what the camera wrote into it. */
export async function photoDay(file: File, today: string): Promise<PhotoDay> {
  const { default: reader } = await import('exifreader');
  const written = await reader.load(file).then(
    ({ DateTimeOriginal, DateTime }) => (DateTimeOriginal ?? DateTime)?.description ?? '',
    () => '',
  );
  const day = written.slice(0, 10).replaceAll(':', '-');
  if (isCalendarDay(day) && day <= today) return { day, isCamera: true };
  const changed = new Date(file.lastModified);
  const pad = (part: number): string => String(part).padStart(2, '0');
  const fileDay = `${changed.getFullYear()}-${pad(changed.getMonth() + 1)}-${pad(changed.getDate())}`;
  return { day: fileDay <= today ? fileDay : today, isCamera: false };
}
