// The open passage: written in where one may, remarked on, found right.
import { useCallback, useMemo, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { KEYS } from '../../shared/keys'
import { direction } from '../../shared/languages'
import { Differing } from '../../shared/parts/Differing'
import { Key } from '../../shared/parts/Key'
import type { Spot } from '../../shared/types'
import { Written } from '../../shared/Written'
import { useTextKeys } from '../../translate/useTextKeys'
import { Gutter, spotsOf, type PassageProps } from './PassageItem'
import { PassageEditor } from './PassageEditor'
import { RemarkForm } from './RemarkForm'
import { RemarkItem } from './RemarkItem'
import { spotIn } from './spotIn'
import type { TargetHandle } from '../../translate/editor/targetHandle'

export function OpenPassage({ page, passage, remarks, reading, drafts }: PassageProps) {
  const { t } = useTranslation()
  const { right, project, round } = page
  const { segment_id: id, source, codes, target, proposed, text, differences } = passage
  const editor = useRef<TargetHandle>(null)
  const place = useRef<HTMLDivElement>(null)
  const sourceId = `passage-source-${id}`
  // The words a remark is begun on; null while none is.
  const [begun, setBegun] = useState<{ spot?: Spot } | null>(null)
  const written = drafts.of(id) ?? passage.draft ?? proposed ?? target
  const mayWrite = right !== 'read'
  const finish = useCallback(
    () => mayWrite && reading.read(passage, editor.current?.value() ?? target),
    [mayWrite, reading, passage, target],
  )
  const remark = useCallback(
    () => mayWrite && setBegun({ spot: spotIn(place.current, editor.current) }),
    [mayWrite],
  )
  usePassKeys({ reading, finish, remark, editor, isRemarking: begun !== null })
  return (
    <div
      ref={place}
      className="passage open"
      role="group"
      aria-label={t('review.pass.passage', { number: passage.number })}
    >
      <Gutter passage={passage} />
      <div>
        <p id={sourceId} className="source" lang={project.source_lang} dir={direction(project.source_lang)}>
          <Written value={source} codes={codes} changes={spotsOf(remarks, 'source')} />
        </p>
        {mayWrite ? (
          <PassageEditor
            key={passage.version}
            ref={editor}
            passage={{ ...passage, target: written }}
            lang={project.target_lang}
            describedBy={sourceId}
            onChange={(value) => drafts.put(id, value)}
          />
        ) : (
          <p className="target" lang={project.target_lang} dir={direction(project.target_lang)}>
            <Written value={target} codes={codes} changes={spotsOf(remarks, 'target')} />
          </p>
        )}
        {differences && (
          <p className="small compared">
            <span className="quiet">{t('review.pass.compared')}</span>{' '}
            <Differing text={text} differences={differences} />
          </p>
        )}
        {passage.note && <p className="small quiet">{passage.note}</p>}
        <ul className="remarks">
          {remarks.map((one) => (
            <RemarkItem key={one.id} remark={one} page={page} />
          ))}
        </ul>
        {begun && (
          <RemarkForm
            round={round.id}
            segment={id}
            types={page.error_types}
            spot={begun.spot}
            onClose={() => {
              setBegun(null)
              editor.current?.focus()
            }}
          />
        )}
        {mayWrite && <Foot {...{ passage, finish, remark }} unread={() => reading.unread(passage)} />}
      </div>
    </div>
  )
}

interface FootProps {
  passage: PassageProps['passage']
  finish: () => void
  remark: () => void
  unread: () => void
}

function Foot({ passage, finish, remark, unread }: FootProps) {
  const { t } = useTranslation()
  return (
    <p className="acts">
      <button type="button" className="fix" onClick={finish}>
        {t('review.pass.finish')} <Key keys={KEYS.finish} />
      </button>
      {/* The selection stays. */}
      <button type="button" onMouseDown={(event) => event.preventDefault()} onClick={remark}>
        {t('review.pass.remark')} <Key keys={KEYS.note} />
      </button>
      {passage.read && (
        <button type="button" className="quiet-link" onClick={unread}>
          {t('review.pass.unread')}
        </button>
      )}
    </p>
  )
}

interface Keyed {
  reading: PassageProps['reading']
  finish: () => void
  remark: () => void
  editor: React.RefObject<TargetHandle | null>
  isRemarking: boolean
}

// The keys of Translate that have a meaning here.
function usePassKeys({ reading, finish, remark, editor, isRemarking }: Keyed) {
  const { step, setOpenId } = reading
  const actions = useMemo(
    () => ({
      ...(isRemarking ? {} : { finish, close: () => setOpenId(null) }),
      note: remark,
      nextSegment: () => step(1),
      previousSegment: () => step(-1),
      missingCode: () => editor.current?.insertMissing(),
    }),
    [finish, remark, step, setOpenId, editor, isRemarking],
  )
  useTextKeys(actions, NUMBERED)
}
const nothing = () => undefined
const NUMBERED = { proposal: nothing, term: nothing, termbase: nothing }
