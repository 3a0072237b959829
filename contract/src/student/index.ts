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
import { anyone, see, student } from '../shared/index.ts';

export * from './work.ts';
export * from './requests.ts';

/** A device of a class, and what a student does on it. */
export const studentRoutes = {
  join: anyone
    .post('/device', 'Join a class by its code on this device')
    .takes<JoinRequest>('JoinRequest', 1_024)
    .answers<DeviceView>(),
  device: student.get('/device', 'The class that this device joined').answers<DeviceView>(),
  chooseStudent: student
    .put('/device/student', 'Say who is at this device')
    .takes<ChosenStudentRequest>('ChosenStudentRequest')
    .answers<DeviceView>(),
  leave: student.remove('/device', 'Leave the class on this device'),
  pots: student.get('/device/pots', 'The pots of the student’s team today').answers<StudentPotView[]>(),
  otherPot: student
    .get('/device/units/:unitId', 'Whose a pot of the class is, and why the student does not read it today')
    .answers<OtherPotView>(),
  keepPot: student
    .put('/device/readings/:readingId', 'Keep a student’s reading of today under an id made on the device')
    .takes<StudentReadingRequest>('StudentReadingRequest')
    .answers<ReadingView>(),
  sowing: student.get('/device/sowing', 'What the student’s team sows now').answers<StudentSowingView[]>(),
  tickPot: student
    .put('/device/sowing/ticks', 'Tick an item of the sowing of the team’s own pots')
    .takes<StudentTickRequest>('StudentTickRequest')
    .answers<TickView[]>(),
  keepOwnCare: student
    .put('/device/care/:careId', 'Note care of the team’s own pots under an id made on the device')
    .takes<StudentCareRequest>('StudentCareRequest')
    .answers<CareView>(),
  potJournal: student
    .get('/device/units/:unitId/journal', 'The journal of a pot of the class')
    .answers<EntryView[]>(),
  keepOwnEntry: student
    .put('/device/journal/:entryId', 'Keep a photo, drawing or sentence under an id made on the device')
    .takes<StudentEntryRequest>('StudentEntryRequest', MOST_ENTRY_BYTES)
    .answers<EntryView>(),
  keepOwnPart: student
    .put(
      '/device/uploads/:newUploadId/parts/:offsetKey',
      'Keep a part of a picture, by the place of its first byte; sent twice it is stored once',
    )
    .takesFile(MOST_PART_BYTES),
  ownDrawing: student
    .get('/device/journal/:entryId/drawing', 'The lines of an own drawing, to go on with it')
    .answers<DrawingPart>(),
  classPicture: student
    .get('/device/journal/:entryId/picture', 'A picture of the own class')
    .sends('image/*'),
  keepPractice: student
    .put('/device/practice/:practiceId', 'Keep a reading of a drawn ruler')
    .takes<PracticeRequest>('PracticeRequest'),
  practice: see
    .get('/classes/:classId/practice', 'How well the class reads drawn rulers')
    .answers<PracticeView>(),
} as const;
