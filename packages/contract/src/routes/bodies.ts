import { object, type Schema } from 'yup';
import {
  eraseClientSchema,
  feedInputSchema,
  incidentInputSchema,
  intakeInputSchema,
  openIntakeSchema,
  sendIntakeSchema,
  settleIntakeSchema,
} from '../care';
import { clientInputSchema } from '../client';
import {
  countInputSchema,
  importKitSchema,
  paletteInputSchema,
  productInputSchema,
  substitutionSchema,
  unitInputSchema,
} from '../kit';
import { enquirySchema } from '../enquiry';
import { partyEventInputSchema, partyInputSchema } from '../party';
import { patchTestInputSchema } from '../patchTest';
import { photographInputSchema } from '../photograph';
import { studioSettingsSchema } from '../settings';
import { sheetLinkInputSchema } from '../sheet';
import { shareInputSchema } from '../share';
import {
  chairEventSchema,
  importChartSchema,
  importLooksSchema,
  newChartSchema,
  newLookSchema,
  newVersionSchema,
  readingInputSchema,
  retireLookSchema,
  sampleRequestSchema,
} from '../work';
import { runUpInputSchema, visitInputSchema } from '../visit';
import { compactInputSchema } from '../compact';
import { lessonLinkInputSchema, lessonRenewalSchema } from '../lesson';
import { forgetPracticeSchema, practiceInputSchema } from '../practice';
import { sendTrialSchema, trialEventInputSchema, trialInputSchema } from '../trial';
import {
  learnedAnswerInputSchema,
  openWearSchema,
  sendWearSchema,
  wearCheckInputSchema,
  wearLinkInputSchema,
} from '../wear';
import { newPasswordSchema, setUpSchema } from '../setUp';
import { signInSchema } from '../signIn';
import {
  endSessionsSchema,
  inviteInputSchema,
  memberInputSchema,
  openInviteSchema,
  resetInputSchema,
  takeInviteSchema,
} from '../team';
import type { WriteName } from './list';

const nothing = object({}).noUnknown('${unknown} is not known here');

/** What each body is checked by before a handler sees it. */
export const BODIES: { readonly [N in WriteName]: Schema } = {
  signIn: signInSchema,
  setUp: setUpSchema,
  changePassword: newPasswordSchema,
  endSessions: endSessionsSchema,
  openInvite: openInviteSchema,
  takeInvite: takeInviteSchema,
  createInvite: inviteInputSchema,
  revokeInvite: nothing,
  updateMember: memberInputSchema,
  createReset: resetInputSchema,
  createClient: clientInputSchema,
  updateClient: clientInputSchema,
  createEnquiry: enquirySchema,
  createReading: readingInputSchema,
  createPatchTest: patchTestInputSchema,
  updatePatchTest: patchTestInputSchema,
  createIncident: incidentInputSchema,
  createIntake: intakeInputSchema,
  revokeIntake: nothing,
  settleIntake: settleIntakeSchema,
  openIntake: openIntakeSchema,
  sendIntake: sendIntakeSchema,
  eraseClient: eraseClientSchema,
  renewFeed: feedInputSchema,
  endFeed: nothing,
  sample: sampleRequestSchema,
  createLook: newLookSchema,
  importLooks: importLooksSchema,
  retireLook: retireLookSchema,
  importKit: importKitSchema,
  createProduct: productInputSchema,
  updateProduct: productInputSchema,
  substituteProduct: substitutionSchema,
  createUnit: unitInputSchema,
  updateUnit: unitInputSchema,
  countUnit: countInputSchema,
  createPalette: paletteInputSchema,
  updatePalette: paletteInputSchema,
  createChart: newChartSchema,
  importChart: importChartSchema,
  createVersion: newVersionSchema,
  createShare: shareInputSchema,
  revokeShare: nothing,
  createEvent: chairEventSchema,
  createPhotograph: photographInputSchema,
  dropPhotograph: nothing,
  createWearCheck: wearCheckInputSchema,
  createLessonLink: lessonLinkInputSchema,
  createCompact: compactInputSchema,
  updateCompact: compactInputSchema,
  renewLessonLink: lessonRenewalSchema,
  revokeLessonLink: nothing,
  answerLearned: learnedAnswerInputSchema,
  tellPractice: practiceInputSchema,
  forgetPractice: forgetPracticeSchema,
  createWearLink: wearLinkInputSchema,
  revokeWearLink: nothing,
  openWear: openWearSchema,
  sendWear: sendWearSchema,
  createTrial: trialInputSchema,
  createTrialEvent: trialEventInputSchema,
  sendTrial: sendTrialSchema,
  createVisit: visitInputSchema,
  updateVisit: visitInputSchema,
  tickRunUp: runUpInputSchema,
  createParty: partyInputSchema,
  updateParty: partyInputSchema,
  createPartyEvent: partyEventInputSchema,
  createSheetLink: sheetLinkInputSchema,
  revokeSheetLink: nothing,
  updateStudioSettings: studioSettingsSchema,
};
