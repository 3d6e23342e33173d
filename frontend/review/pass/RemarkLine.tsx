// A remark in a line: its kind and severity, on which words, what it says, by whom.
import { useTranslation } from 'react-i18next'
import { KindOf } from '../../shared/parts/KindOf'
import type { Note } from '../../shared/types'

export function RemarkLine({ remark }: { remark: Note }) {
  const { t } = useTranslation()
  return (
    <li className={`remark small${remark.settled_at ? ' settled' : ''}`}>
      <KindOf remark={remark} />
      {remark.spot && <q>{remark.spot.text}</q>} {remark.text && <em>{remark.text}</em>}{' '}
      <span className="quiet">
        {remark.author}
        {remark.settled_at && ` · ${t('notes.settled')}`}
      </span>
    </li>
  )
}
