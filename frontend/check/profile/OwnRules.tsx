// Custom checks, each collapsed to its name until it is edited.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { OwnRuleForm } from './OwnRuleForm'
import type { OwnRule, ProfileOwner } from './queries'

interface Props {
  owner: ProfileOwner
  rules: OwnRule[]
  languages: string[]
  onChange: (rules: OwnRule[]) => void
}
const NEW: OwnRule = { name: '', target: '', message: '', level: 'look' }

export function OwnRules({ owner, rules, languages, onChange }: Props) {
  const { t } = useTranslation()
  const [open, setOpen] = useState<number | null>(null)
  const add = () => {
    onChange([...rules, NEW])
    setOpen(rules.length)
  }
  const nameOf = (rule: OwnRule) => rule.name || t('check.profile.unnamed')
  return (
    <section className="own-rules" aria-label={t('check.profile.ownTitle')}>
      <h2>{t('check.profile.ownTitle')}</h2>
      <p className="quiet">{t('check.profile.ownLead')}</p>
      <ul>
        {rules.map((rule, index) => (
          <li key={index}>
            <div className="line">
              <button
                type="button"
                aria-expanded={open === index}
                onClick={() => setOpen(open === index ? null : index)}
              >
                <b>{nameOf(rule)}</b> <span className="quiet">{rule.message}</span>
              </button>
              <button
                type="button"
                className="plain-link small"
                onClick={() => {
                  onChange(rules.filter((_, at) => at !== index))
                  setOpen(null)
                }}
              >
                {t('check.profile.remove', { name: nameOf(rule) })}
              </button>
            </div>
            {open === index && (
              <OwnRuleForm
                {...{ owner, rule, languages }}
                onChange={(now) => onChange(rules.map((one, at) => (at === index ? now : one)))}
              />
            )}
          </li>
        ))}
      </ul>
      <button type="button" className="link" onClick={add}>
        {t('check.profile.add')}
      </button>
    </section>
  )
}
