// A passage as it is read in passing: number, state, both texts, what differs, and what was remarked.
import { useTranslation } from 'react-i18next'
import { direction } from '../../shared/languages'
import { Differing } from '../../shared/parts/Differing'
import { Moon } from '../../shared/parts/Moon'
import type { Note } from '../../shared/types'
import { Written } from '../../shared/Written'
import type { Drafts } from './drafts'
import type { Passage, PassPage } from './queries'
import { RemarkLine } from './RemarkLine'
import type { Reading } from './usePass'

export interface PassageProps {
  page: PassPage
  passage: Passage
  remarks: Note[]
  reading: Reading
  drafts: Drafts
  first: boolean
}

export function PassageItem({ page, passage, remarks, reading, drafts }: PassageProps) {
  const { t } = useTranslation()
  const { segment_id: id, number, source, target, codes, text, differences } = passage
  const { source_lang: from, target_lang: into } = page.project
  const begun = (drafts.of(id) ?? passage.draft) !== null && !passage.read
  return (
    <div className="passage">
      <Gutter passage={passage} />
      <button type="button" className="plain" onClick={() => reading.setOpenId(id)}>
        <span className="hidden-text">{t('review.pass.open', { number })}</span>
        <span className="source" lang={from} dir={direction(from)}>
          <Written value={source} codes={codes} changes={spotsOf(remarks, 'source')} />
        </span>
        <span className="target" lang={into} dir={direction(into)}>
          {differences ? (
            <Differing text={text} differences={differences} />
          ) : (
            <Written value={target} codes={codes} changes={spotsOf(remarks, 'target')} />
          )}
        </span>
        {passage.proposed && <span className="small quiet">{t('review.pass.proposed')}</span>}
        {begun && <span className="small quiet">{t('review.pass.begun')}</span>}
      </button>
      <ul className="remarks">
        {remarks.map((remark) => (
          <RemarkLine key={remark.id} remark={remark} />
        ))}
      </ul>
    </div>
  )
}

export function Gutter({ passage }: { passage: Passage }) {
  const { t } = useTranslation()
  return (
    <span className="gutter">
      <span>{passage.number}</span>
      <Moon state={passage.state} />
      <span className="read">{passage.read && <span title={t('review.pass.read')}>✓</span>}</span>
      {passage.read && <span className="hidden-text">{t('review.pass.read')}</span>}
    </span>
  )
}

export const spotsOf = (remarks: Note[], side: 'source' | 'target') =>
  remarks.flatMap(({ spot, settled_at }) => (spot?.side === side && !settled_at ? [spot] : []))
