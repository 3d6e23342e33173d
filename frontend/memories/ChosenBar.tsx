// How many units were found, and what can be done with those that are chosen: some, or all that were found.
import { Checkbox } from 'antd'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { TranslationUnit } from '../shared/types'
import type { UnitSearch } from './queries'
import { ReplaceInUnits } from './ReplaceInUnits'
import { may } from '../sharing/rights'
import type { ShareRight } from '../shared/shapes'

const FIELDS = ['client', 'subject', 'author'] as const

interface Props {
  list: TranslationUnit[]
  count?: number
  chosen: ReadonlySet<number>
  setChosen: (chosen: ReadonlySet<number>) => void
  search: UnitSearch
  act: (body: Record<string, unknown>) => void
  right: ShareRight
}

export function ChosenBar({ list, count, chosen, setChosen, search, act, right }: Props) {
  const { t } = useTranslation()
  const found = (
    <span className="tab" role="status">
      {count === undefined ? '' : t('memories.found', { count, units: number(count) })}
    </span>
  )
  if (!may(right, 'edit')) return <div className="unit-bar small">{found}</div>
  const every = chosen.size > 0 && chosen.size === list.length
  const all = every && count !== undefined && count > list.length
  const which = all ? { search } : { ids: [...chosen] }
  const affected = all ? count : chosen.size
  return (
    <div className="unit-bar small">
      <Checkbox
        aria-label={t('memories.chooseAll')}
        checked={every}
        onChange={(event) => setChosen(new Set(event.target.checked ? list.map((unit) => unit.id) : []))}
      >
        {found}
      </Checkbox>
      {chosen.size > 0 && (
        <span className="many">
          {t('memories.chosen', { count: affected, units: number(affected) })}
          {FIELDS.map((name) => (
            <TextInPlace
              key={name}
              value=""
              blank={t(`memories.set.${name}`)}
              label={t(`memories.set.${name}`)}
              onChange={(value) => act({ kind: 'bulk', set: { [name]: value }, ...which })}
            />
          ))}
          <ReplaceInUnits
            count={affected}
            onReplace={(replace) => act({ kind: 'replace', replace, ...which })}
          />
          {(affected === 1 || may(right, 'manage')) && (
            <button type="button" className="link" onClick={() => act({ kind: 'delete', ...which })}>
              {t('memories.deleteUnits')}
            </button>
          )}
        </span>
      )}
      {all && <span className="quiet">{t('memories.allFound')}</span>}
    </div>
  )
}
