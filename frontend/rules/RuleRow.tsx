// A rule: words after which nothing is split, or two patterns; its place among the others.
import { Input, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Rule } from '../shared/types'

interface Props {
  rule: Rule
  index: number
  rules: Rule[]
  onChange: (rules: Rule[]) => void
}

type Fields = { rule: Rule; number: number; edit: (fields: Partial<Rule>) => void }

function moved(rules: Rule[], from: number, by: number) {
  const list = [...rules]
  const [rule] = list.splice(from, 1)
  list.splice(from + by, 0, rule)
  return list
}

export function RuleRow({ rule, index, rules, onChange }: Props) {
  const { t } = useTranslation()
  const number = index + 1
  const edit = (fields: Partial<Rule>) =>
    onChange(rules.map((one, at) => (at === index ? { ...one, ...fields } : one)))
  return (
    <li>
      <span className="rank tab">{number}</span>
      <div>
        {rule.words ? <Words {...{ rule, number, edit }} /> : <Patterns {...{ rule, number, edit }} />}
      </div>
      <span className="handles">
        <button
          type="button"
          disabled={index === 0}
          aria-label={t('rules.up', { number })}
          onClick={() => onChange(moved(rules, index, -1))}
        >
          ↑
        </button>
        <button
          type="button"
          disabled={index === rules.length - 1}
          aria-label={t('rules.down', { number })}
          onClick={() => onChange(moved(rules, index, 1))}
        >
          ↓
        </button>
        <button
          type="button"
          aria-label={t('rules.remove', { number })}
          onClick={() => onChange(rules.filter((_, at) => at !== index))}
        >
          ✕
        </button>
      </span>
    </li>
  )
}

function Words({ rule, number, edit }: Fields) {
  const { t } = useTranslation()
  return (
    <>
      <p>{t('rules.neverAfter')}</p>
      <Input.TextArea
        autoSize={{ minRows: 1, maxRows: 6 }}
        spellCheck={false}
        aria-label={t('rules.wordsOf', { number })}
        value={(rule.words ?? []).join(' ')}
        onChange={(event) => edit({ words: event.target.value.split(/[\s,;]+/) })}
      />
      <label className="after small quiet">
        {t('rules.followedBy')}{' '}
        <Pattern
          value={rule.after}
          label={t('rules.afterOf', { number })}
          onChange={(after) => edit({ after })}
        />
      </label>
    </>
  )
}

function Patterns({ rule, number, edit }: Fields) {
  const { t } = useTranslation()
  return (
    <div className="patterns">
      <Select
        size="small"
        value={rule.break}
        aria-label={t('rules.kindOf', { number })}
        options={[
          { value: true, label: t('rules.split') },
          { value: false, label: t('rules.dontSplit') },
        ]}
        onChange={(value) => edit({ break: value })}
      />
      <span className="small quiet">{t('rules.after')}</span>
      <Pattern
        value={rule.before}
        label={t('rules.beforeOf', { number })}
        onChange={(before) => edit({ before })}
      />
      <span className="small quiet">{t('rules.before')}</span>
      <Pattern
        value={rule.after}
        label={t('rules.afterOf', { number })}
        onChange={(after) => edit({ after })}
      />
    </div>
  )
}

interface PatternProps {
  value: string
  label: string
  onChange: (value: string) => void
}

const Pattern = ({ value, label, onChange }: PatternProps) => (
  <Input
    size="small"
    className="pattern"
    spellCheck={false}
    value={value}
    aria-label={label}
    onChange={(event) => onChange(event.target.value)}
  />
)
