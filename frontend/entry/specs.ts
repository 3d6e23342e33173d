// Modules that answer without the server, within reach of the specs: they are held to the same cases as the
// core (core/spec/cases).
import { addedCodes, missingCodes } from '../shared/balance'
import { holdable, parts, plain, written } from '../shared/content'
import { KEYS, matches } from '../shared/keys'
import { Outbox } from '../shared/outbox'
import { quoteOf } from '../shared/quote'
import { doneAt } from '../shared/workTime'
import { nextCode } from '../translate/completion/codes'
import { stillToCome } from '../translate/card/terms'
import { sentenceBegins } from '../translate/editor/insertWord'
import { UndoHistory } from '../translate/undoHistory'
import { exactly, short, whole } from '../translate/timed/clock'
import { metersOf, toLose } from '../translate/timed/meters'
import { Ahead } from '../translate/completion/ahead'

Object.assign(window, {
  glossema: {
    addedCodes,
    missingCodes,
    holdable,
    parts,
    plain,
    written,
    KEYS,
    matches,
    Outbox,
    quoteOf,
    doneAt,
    Ahead,
    sentenceBegins,
    nextCode,
    stillToCome,
    metersOf,
    toLose,
    clock: { exactly, short, whole },
    UndoHistory,
  },
})
