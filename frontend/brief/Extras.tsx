// What else a project says: what it is about, words never to be used or translated, what its files are
// called.
import { useTranslation } from 'react-i18next'
import { LongInPlace } from '../shared/parts/LongInPlace'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { Row } from '../shared/parts/Row'
import { TextInPlace } from '../shared/parts/TextInPlace'
import { WordsInPlace } from '../shared/parts/WordsInPlace'
import type { Project } from '../shared/types'
import type { Change } from './Brief'

export function Extras({ project, change }: { project: Project; change: Change }) {
  const { t } = useTranslation()
  return (
    <dl className="extras">
      <Row label={t('brief.description')}>
        <LongInPlace
          label={t('brief.description')}
          blank={t('brief.write')}
          value={project.description}
          onChange={(description) => change({ description })}
        />
      </Row>
      <Row label={t('clients.neverUsed')}>
        <WordsInPlace
          label={t('clients.neverUsed')}
          words={project.never_used}
          patterns
          onChange={(never_used) => change({ never_used })}
        />
      </Row>
      <Row label={t('clients.neverTranslated')}>
        <WordsInPlace
          label={t('clients.neverTranslated')}
          words={project.never_translated}
          patterns
          onChange={(never_translated) => change({ never_translated })}
        />
      </Row>
      <Row label={t('clients.filePattern')}>
        <TextInPlace
          label={t('clients.filePattern')}
          blank="{name}_{target}"
          value={project.file_pattern}
          onChange={(file_pattern) => change({ file_pattern })}
        />
        <p className="small quiet">{t('clients.filePatternHint')}</p>
      </Row>
      {project.documents.some(({ timed }) => timed) && <Times {...{ project, change }} />}
    </dl>
  )
}

// Of subtitles: whether the client lets their times be changed.
function Times({ project, change }: { project: Project; change: Change }) {
  const { t } = useTranslation()
  const ways = { true: t('brief.timesFixed'), false: t('brief.timesFree') }
  return (
    <Row label={t('brief.times')}>
      <MenuInPlace
        title={t('brief.times')}
        label={ways[`${project.times_fixed}`]}
        value={String(project.times_fixed)}
        options={Object.entries(ways).map(([value, label]) => ({ value, label }))}
        onChange={(value) => change({ times_fixed: value === 'true' })}
      />
    </Row>
  )
}
