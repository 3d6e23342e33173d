// The table of rules, the text they are tried on, and keeping them.
import { Select } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { Project, Rule, Ruling } from '../shared/types'
import { groupOf } from './groupOf'
import { SaveRules } from './SaveRules'
import type { RulesOwner } from './queries'
import { RuleRow } from './RuleRow'
import { Trial } from './Trial'
import { useEdited } from './useEdited'
import { useTrial } from './useTrial'

const NEW_RULE: Rule = { break: false, before: '', after: '\\s', words: null }
const NEW_WORDS: Rule = { ...NEW_RULE, words: [''] }

interface Props {
  ruling: Ruling
  owner: RulesOwner
  project?: Project
}

export function Workbench({ ruling, owner, project }: Props) {
  const { t } = useTranslation()
  const edited = useEdited(ruling, owner)
  const { groups, setGroups } = edited
  const [language, setLanguage] = useState(ruling.language)
  const [text, setText] = useState(ruling.sample)
  const [shown, setShown] = useState(() => groupOf(ruling.groups, ruling.language))
  const { trial, fault } = useTrial(owner, { groups, text, language })
  const rules = (groups[shown] ?? groups[0]).rules
  const change = (list: Rule[]) =>
    setGroups(groups.map((group, index) => (index === shown ? { ...group, rules: list } : group)))
  return (
    <div className="rules">
      <section>
        <h1>{t('rules.title')}</h1>
        <p className="quiet">
          {t(`rules.from.${ruling.from}`)}{' '}
          {owner ? (
            <Link className="plain-link" to="/settings/rules">
              {t('rules.toAll')}
            </Link>
          ) : (
            t('rules.newProjects')
          )}
        </p>
        <div className="rules-head">
          <label>
            {t('rules.language')}{' '}
            <Select
              size="small"
              className="rule-language"
              value={shown}
              aria-label={t('rules.language')}
              options={groups.map(({ name }, index) => ({
                value: index,
                label: name === 'Common' ? t('rules.common') : name,
              }))}
              onChange={setShown}
            />
          </label>
          <span className="push" />
          <button type="button" className="link" onClick={() => change([NEW_WORDS, ...rules])}>
            {t('rules.addWords')}
          </button>
          <button type="button" className="link" onClick={() => change([NEW_RULE, ...rules])}>
            {t('rules.addRule')}
          </button>
        </div>
        <p className="small quiet">{t('rules.order')}</p>
        <ol className="rule-list">
          {rules.map((rule, index) => (
            <RuleRow key={index} rule={rule} index={index} rules={rules} onChange={change} />
          ))}
        </ol>
      </section>
      <section className="trial">
        <Trial
          {...{ language, text, setText, trial, fault }}
          onLanguage={(tag) => {
            setLanguage(tag)
            setShown(groupOf(groups, tag))
          }}
        />
        <SaveRules {...{ ruling, owner, project, edited }} faulty={!!fault} />
      </section>
    </div>
  )
}
