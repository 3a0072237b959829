import { MOST_ENTRY_BYTES, MOST_PART_BYTES } from '@bright-sprout/core/shared';
import type { OtherPotView, PracticeRequest, PracticeView, StudentSowingView } from './work.ts';
import type {
  ChosenStudentRequest,
  DeviceView,
  JoinRequest,
  StudentCareRequest,
  StudentEntryRequest,
  StudentPotView,
  StudentReadingRequest,
  StudentTickRequest,
} from './requests.ts';
import type { TickView } from '../sowing/index.ts';
import type { ReadingView } from '../readings/index.ts';
import type { DrawingPart, EntryView } from '../journal/index.ts';
import type { CareView } from '../care/index.ts';
import { json, request, route } from '../shared/index.ts';

export {
  type OtherPotView,
  type PotNote,
  PracticeRequest,
  type PracticeView,
  type SowingPotView,
  type StudentSowingView,
} from './work.ts';
export {
  ChosenStudentRequest,
  type DeviceView,
  JoinRequest,
  type LastReadingView,
  MadeOnDevicePart,
  type OtherReadView,
  StudentCareRequest,
  StudentEntryRequest,
  type StudentPotView,
  StudentReadingRequest,
  StudentTickRequest,
} from './requests.ts';

/** A device of a class, and what a student does on it. */
export const studentRoutes = {
  join: route({
    method: 'POST',
    path: '/device',
    summary: 'Join a class by its code on this device',
    access: 'anyone',
    body: request<JoinRequest>('JoinRequest'),
    answer: json<DeviceView>(),
    maxBytes: 1_024,
  }),
  device: route({
    method: 'GET',
    path: '/device',
    summary: 'The class that this device joined',
    access: 'student',
    answer: json<DeviceView>(),
  }),
  chooseStudent: route({
    method: 'PUT',
    path: '/device/student',
    summary: 'Say who is at this device',
    access: 'student',
    body: request<ChosenStudentRequest>('ChosenStudentRequest'),
    answer: json<DeviceView>(),
  }),
  leave: route({
    method: 'DELETE',
    path: '/device',
    summary: 'Leave the class on this device',
    access: 'student',
  }),
  pots: route({
    method: 'GET',
    path: '/device/pots',
    summary: 'The pots of the student’s team today',
    access: 'student',
    answer: json<StudentPotView[]>(),
  }),
  otherPot: route({
    method: 'GET',
    path: '/device/units/:unitId',
    summary: 'Whose a pot of the class is, and why the student does not read it today',
    access: 'student',
    answer: json<OtherPotView>(),
  }),
  keepPot: route({
    method: 'PUT',
    path: '/device/readings/:readingId',
    summary: 'Keep a student’s reading of today under an id made on the device',
    access: 'student',
    body: request<StudentReadingRequest>('StudentReadingRequest'),
    answer: json<ReadingView>(),
  }),
  sowing: route({
    method: 'GET',
    path: '/device/sowing',
    summary: 'What the student’s team sows now',
    access: 'student',
    answer: json<StudentSowingView[]>(),
  }),
  tickPot: route({
    method: 'PUT',
    path: '/device/sowing/ticks',
    summary: 'Tick an item of the sowing of the team’s own pots',
    access: 'student',
    body: request<StudentTickRequest>('StudentTickRequest'),
    answer: json<TickView[]>(),
  }),
  keepOwnCare: route({
    method: 'PUT',
    path: '/device/care/:careId',
    summary: 'Note care of the team’s own pots under an id made on the device',
    access: 'student',
    body: request<StudentCareRequest>('StudentCareRequest'),
    answer: json<CareView>(),
  }),
  potJournal: route({
    method: 'GET',
    path: '/device/units/:unitId/journal',
    summary: 'The journal of a pot of the class',
    access: 'student',
    answer: json<EntryView[]>(),
  }),
  keepOwnEntry: route({
    method: 'PUT',
    path: '/device/journal/:entryId',
    summary: 'Keep a photo, drawing or sentence under an id made on the device',
    access: 'student',
    maxBytes: MOST_ENTRY_BYTES,
    body: request<StudentEntryRequest>('StudentEntryRequest'),
    answer: json<EntryView>(),
  }),
  keepOwnPart: route({
    method: 'PUT',
    path: '/device/uploads/:newUploadId/parts/:offsetKey',
    summary: 'Keep a part of a picture, by the place of its first byte; sent twice it is stored once',
    access: 'student',
    takesBytes: true,
    maxBytes: MOST_PART_BYTES,
  }),
  ownDrawing: route({
    method: 'GET',
    path: '/device/journal/:entryId/drawing',
    summary: 'The lines of an own drawing, to go on with it',
    access: 'student',
    answer: json<DrawingPart>(),
  }),
  classPicture: route({
    method: 'GET',
    path: '/device/journal/:entryId/picture',
    summary: 'A picture of the own class',
    access: 'student',
    file: 'image/*',
  }),
  keepPractice: route({
    method: 'PUT',
    path: '/device/practice/:practiceId',
    summary: 'Keep a reading of a drawn ruler',
    access: 'student',
    body: request<PracticeRequest>('PracticeRequest'),
  }),
  practice: route({
    method: 'GET',
    path: '/classes/:classId/practice',
    summary: 'How well the class reads drawn rulers',
    access: 'see',
    answer: json<PracticeView>(),
  }),
} as const;
