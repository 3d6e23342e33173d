// The place to drop files, and the briefs that were begun and left.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { SendingState } from '../brief/useSending'
import { api } from '../shared/api'
import { shortDate, time } from '../shared/i18n'
import type { Agenda } from '../shared/types'
import { useAct } from '../shared/useAct'
import { Offers } from '../servers/Offers'
import { DropHere, type useInto } from './DropHere'
import { Templates } from './Templates'
import type { Start } from './useNewBrief'

interface Props {
  briefs: Agenda['briefs']
  sending: SendingState
  start: Start
  into: ReturnType<typeof useInto>
  refresh: () => Promise<unknown>
}

export function Briefs({ briefs, sending, start, into, refresh }: Props) {
  const { t } = useTranslation()
  return (
    <aside className="side">
      <DropHere {...{ sending, start, into }} />
      <Offers />
      <Templates start={start} />
      {briefs.length > 0 && (
        <>
          <h3>{t('today.briefs')}</h3>
          <ul className="side-list">
            {briefs.map((brief) => (
              <BriefLine key={brief.id} brief={brief} refresh={refresh} />
            ))}
          </ul>
        </>
      )}
    </aside>
  )
}

function BriefLine({ brief, refresh }: { brief: Agenda['briefs'][number]; refresh: Props['refresh'] }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const putAway = () =>
    void act(async () => {
      await api.delete(`/projects/${brief.id}`)
      await refresh()
    })
  return (
    <li>
      <span>
        <Link className="plain-link" to={`/projects/${brief.id}/brief`}>
          {brief.name}
        </Link>{' '}
        <span className="quiet small">
          {t('today.briefFiles', { count: brief.files })} · {shortDate(brief.created_at)},{' '}
          {time(brief.created_at)}
        </span>
      </span>
      <button
        type="button"
        className="quiet small"
        aria-label={`${t('today.remove')}: ${brief.name}`}
        onClick={putAway}
      >
        {t('today.remove')}
      </button>
    </li>
  )
}
