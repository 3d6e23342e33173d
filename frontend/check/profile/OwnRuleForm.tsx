// A custom check: its expressions, conditions, message and level, tested while typing.
import { Checkbox, Input, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { languageOptions } from '../../shared/languages'
import type { OwnRule, ProfileOwner } from './queries'
import { RuleTrial } from './RuleTrial'

interface Props {
  owner: ProfileOwner
  rule: OwnRule
  languages: string[]
  onChange: (rule: OwnRule) => void
}
type TextField = 'name' | 'source' | 'target' | 'unless' | 'replace' | 'message'
const WAYS = ['must-not', 'must', 'as-often'] as const
const LEVELS = ['must-fix', 'look'] as const
const PATTERNS: TextField[] = ['source', 'target', 'unless', 'replace']

export function OwnRuleForm({ owner, rule, languages, onChange }: Props) {
  const { t } = useTranslation()
  const text = (field: TextField) => (
    <label key={field}>
      <span>{t(`check.profile.${field}`)}</span>
      <Input
        size="small"
        className={PATTERNS.includes(field) ? 'pattern' : ''}
        spellCheck={false}
        value={rule[field] ?? ''}
        onChange={(event) => onChange({ ...rule, [field]: event.target.value })}
      />
    </label>
  )
  const choice = <T extends string>(
    field: 'way' | 'level',
    values: readonly T[],
    label: string,
    name: (value: T) => string,
  ) => (
    <label>
      <span>{label}</span>
      <Select
        size="small"
        aria-label={label}
        value={(rule[field] ?? (field === 'way' ? 'must-not' : 'look')) as T}
        options={values.map((value) => ({ value, label: name(value) }))}
        onChange={(value) => onChange({ ...rule, [field]: value })}
      />
    </label>
  )
  return (
    <div className="own-rule">
      <div className="fields">
        {text('name')}
        {text('source')}
        {choice('way', WAYS, t('check.profile.way'), (way) => t(`check.profile.ways.${way}`))}
        {text('target')}
        {text('unless')}
        {(rule.way ?? 'must-not') === 'must-not' && text('replace')}
        {text('message')}
        {choice('level', LEVELS, t('check.profile.severity'), (level) => t(`check.levels.${level}`))}
        <label>
          <span>{t('check.profile.languages')}</span>
          <Select
            mode="multiple"
            size="small"
            aria-label={t('check.profile.languages')}
            value={rule.languages ?? []}
            options={languageOptions}
            optionFilterProp="label"
            onChange={(tags) => onChange({ ...rule, languages: tags.length ? tags : undefined })}
          />
        </label>
        <Checkbox
          checked={rule.case !== false}
          onChange={(event) => onChange({ ...rule, case: event.target.checked ? undefined : false })}
        >
          {t('check.profile.cased')}
        </Checkbox>
      </div>
      <RuleTrial {...{ owner, rule, languages }} />
    </div>
  )
}
