// Two texts of one segment: the local one, and another one from elsewhere. One is kept, the other goes to the
// history.
import { App } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Entry } from '../../shared/outbox'
import type { Project, Segment } from '../../shared/types'
import { direction } from '../../shared/languages'
import type { Store } from '../store'
import { Written } from '../../shared/Written'

interface Props {
  entry: Entry
  segment: Segment
  project: Project
  store: Store
  onTheirs: (value: string) => void
}

export function TwoWordings({ entry, segment, project, store, onTheirs }: Props) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const theirs = entry.trouble?.theirs
  if (!theirs) return null
  const keepTheirs = async () => {
    try {
      await store.outbox.keepTheirs(segment.id)
      store.take([theirs])
      onTheirs(theirs.target)
    } catch (error) {
      void message.error((error as Error).message)
    }
  }
  const side = { lang: project.target_lang ?? undefined, dir: direction(project.target_lang) }
  return (
    <div className="two-wordings" role="alert">
      <p>{t('unsent.two')}</p>
      <div>
        <span className="reading" {...side}>
          <Written value={entry.target} codes={segment.codes} />
        </span>
        <button type="button" className="link" onClick={() => store.outbox.keepMine(segment.id)}>
          {t('unsent.keepMine')}
        </button>
      </div>
      <div>
        <span className="reading" {...side}>
          <Written value={theirs.target} codes={segment.codes} />
        </span>
        <button type="button" className="link" onClick={() => void keepTheirs()}>
          {t('unsent.keepTheirs')}
        </button>
      </div>
      <p className="small quiet">{t('unsent.inPast')}</p>
    </div>
  )
}
