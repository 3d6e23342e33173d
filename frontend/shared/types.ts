// All shapes the API answers with: generated from its resources, and those said by hand.
import type { TranslationUnit as StoredUnit, Version as StoredVersion } from './api-types'
import type { Difference } from './shapes'

export type {
  Alignment,
  Client,
  ClientServer,
  Offer,
  SignIn,
  ClientPage,
  Delivery,
  Document as DocumentRow,
  Memory,
  Note,
  Operation,
  Project,
  Quote,
  QuotePage,
  RateCard,
  ReviewChange,
  ReviewRound,
  Report,
  ReportLine,
  Segment,
  Share,
  Template,
  Termbase,
  TermCandidate,
  MachineRequest,
  MachineService,
  RemoteKey,
  TermVersion,
  TermbasePage,
  TermEntry,
  User,
  Version,
} from './api-types'
export type * from './shapes'
export { BANDS } from './shapes'

// A unit as it is found by a search: beside one of the same source, what differs is marked.
export type TranslationUnit = StoredUnit & { twin?: { from: number; to: number }[] }

// A version beside another one: its text, and what differs.
export type PastVersion = StoredVersion & { text: string; differences?: Difference[]; edited?: number }
