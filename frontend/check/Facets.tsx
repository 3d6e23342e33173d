// How many findings there are, and which of them are shown: by level, kind, file, or those let stand.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import type { Finding } from './queries'

export interface Choice {
  level?: Finding['level']
  group?: string
  file?: string
  stands: boolean
}
export const EVERYTHING: Choice = { stands: false }

export const fits = (finding: Finding, { level, group, file, stands }: Choice) =>
  !!finding.stands === stands &&
  (!level || finding.level === level) &&
  (!group || finding.group === group) &&
  (!file || finding.file === file)

interface Props {
  findings: Finding[]
  checked: number
  choice: Choice
  onChoose: (choice: Choice) => void
}

export function Facets({ findings, checked, choice, onChoose }: Props) {
  const { t } = useTranslation()
  const open = findings.filter((one) => !one.stands)
  const count = (one: Choice) => findings.filter((finding) => fits(finding, one)).length
  const names = (of: (finding: Finding) => string) => [...new Set(open.map(of))]
  const line = (name: string, one: Choice) => (
    <li key={name}>
      <button
        type="button"
        aria-pressed={JSON.stringify(one) === JSON.stringify(choice)}
        onClick={() => onChoose(one)}
      >
        <span>{name}</span> <span className="tab">{number(count(one))}</span>
      </button>
    </li>
  )
  return (
    <aside aria-label={t('check.kinds')}>
      <p className="sums">
        <b>{number(count({ ...EVERYTHING, level: 'must-fix' }))}</b> {t('check.levels.must-fix')} ·{' '}
        <b>{number(count({ ...EVERYTHING, level: 'look' }))}</b> {t('check.levels.look')}
      </p>
      <p className="small quiet">{t('check.checked', { count: checked })}</p>
      <h2>{t('check.kind')}</h2>
      <ul>
        {line(t('check.everything'), EVERYTHING)}
        {line(t('check.levels.must-fix'), { ...EVERYTHING, level: 'must-fix' })}
        {names((one) => one.group).map((group) => line(t(`check.groups.${group}`), { ...EVERYTHING, group }))}
      </ul>
      {names((one) => one.file).length > 1 && (
        <>
          <h2>{t('check.file')}</h2>
          <ul>{names((one) => one.file).map((file) => line(file, { ...EVERYTHING, file }))}</ul>
        </>
      )}
      <h2>{t('check.apart')}</h2>
      <ul>{line(t('check.standing'), { stands: true })}</ul>
    </aside>
  )
}
