// Segmentation rules: a table for each language on the left, her own text cut by them on the right as she
// types.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { App, Button, Input, Select } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { api } from '../shared/api'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { languageName, languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts'
import type { Project, Rule, RuleGroup, RuleTrial, Ruling } from '../shared/types'
import { useCutLook } from '../shared/useCutLook'

const PAUSE = 250

// What was edited on this page and not kept, where it still fits the rules there are.
function storedGroups(key: string, ruling: Ruling): RuleGroup[] | null {
  const stored = sessionStorage.getItem(key)
  if (!stored) return null
  const { groups, over } = JSON.parse(stored) as { groups: RuleGroup[]; over: number }
  return over === ruling.groups.length ? groups : null
}

export function Rules() {
  const id = useParams().id
  const base = id ? `/projects/${id}` : ''
  const project = useQuery({
    queryKey: ['project', Number(id)],
    enabled: !!id,
    queryFn: () => api.get<Project>(`/projects/${id}`),
  })
  const rules = useQuery({
    queryKey: ['rules', id ?? 'all'],
    queryFn: () => api.get<Ruling>(`${base}/rules`),
    refetchOnMount: 'always',
    gcTime: 0,
  })
  return (
    <Frame project={project.data}>
      {rules.error ? (
        <Failure error={rules.error} again={() => void rules.refetch()} />
      ) : !rules.data || (id && !project.data) ? (
        <Waiting />
      ) : (
        <Table key={rules.dataUpdatedAt} ruling={rules.data} base={base} project={project.data} />
      )}
    </Frame>
  )
}

function Table({ ruling, base, project }: { ruling: Ruling; base: string; project?: Project }) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const cache = useQueryClient()
  const unkept = `glossema.rules.${project?.id ?? 'all'}`
  const [groups, setGroups] = useState(() => storedGroups(unkept, ruling) ?? ruling.groups)
  const look = useCutLook(project?.id ?? 0)
  const [language, setLanguage] = useState(ruling.language)
  const [text, setText] = useState(ruling.sample)
  const [shown, setShown] = useState(() => groupOf(ruling.groups, ruling.language))
  const [trial, setTrial] = useState<RuleTrial | null>(null)
  const [fault, setFault] = useState('')
  const file = useRef<HTMLInputElement>(null)
  const touched = groups !== ruling.groups
  // Edits that were not kept yet are there again when the page is opened again.
  useEffect(() => {
    if (touched) sessionStorage.setItem(unkept, JSON.stringify({ groups, over: ruling.groups.length }))
    else sessionStorage.removeItem(unkept)
  }, [groups, ruling.groups.length, touched, unkept])
  const group = groups[shown] ?? groups[0]

  // Tried a moment after the last key; an answer that comes late is not shown.
  useEffect(() => {
    let late = false
    const timer = window.setTimeout(() => {
      api
        .post<RuleTrial>(`${base}/rule_trials`, { groups, text, language })
        .then((answer) => {
          if (!late) {
            setTrial(answer)
            setFault('')
          }
        })
        .catch((error: Error) => {
          if (!late) setFault(error.message)
        })
    }, PAUSE)
    return () => {
      late = true
      window.clearTimeout(timer)
    }
  }, [groups, text, language, base])

  const settled = (answer: Ruling | null) => {
    if (!answer) return
    sessionStorage.removeItem(unkept)
    cache.setQueryData(['rules', project ? String(project.id) : 'all'], answer)
    void message.success(t(project?.begun_at || project ? 'rules.keptProject' : 'rules.keptAll'))
  }
  const failed = (error: Error) => void message.error(error.message)
  const keep = useMutation({
    mutationFn: async () => {
      if (project?.begun_at && !(await look({ groups }))) return null
      return api.patch<Ruling>(`${base}/rules`, { groups })
    },
    onSuccess: settled,
    onError: failed,
  })
  const keepForAll = useMutation({
    mutationFn: () => api.patch<Ruling>('/rules', { groups }),
    onSuccess: () => void message.success(t('rules.keptAll')),
    onError: failed,
  })
  const drop = useMutation({
    mutationFn: () => api.delete<Ruling>(`${base}/rules`),
    onSuccess: settled,
    onError: failed,
  })
  const bring = useMutation({
    mutationFn: async (chosen: File) => {
      const form = new FormData()
      form.append('file', chosen)
      if (project?.begun_at && !(await look(form))) return null
      return api.patch<Ruling>(`${base}/rules`, form)
    },
    onSuccess: settled,
    onError: failed,
  })

  const change = (rules: Rule[]) =>
    setGroups(groups.map((one, index) => (index === shown ? { ...one, rules } : one)))
  const edit = (at: number, fields: Partial<Rule>) =>
    change(group.rules.map((rule, index) => (index === at ? { ...rule, ...fields } : rule)))
  const move = (at: number, by: number) => {
    const list = [...group.rules]
    const [rule] = list.splice(at, 1)
    list.splice(at + by, 0, rule)
    change(list)
  }
  return (
    <div className="rules">
      <section>
        <h1>{t('rules.title')}</h1>
        <p className="quiet">
          {t(`rules.from.${ruling.from}`)}{' '}
          {project ? (
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
              value={shown}
              style={{ minWidth: 150 }}
              aria-label={t('rules.language')}
              options={groups.map((one, index) => ({
                value: index,
                label: one.name === 'Common' ? t('rules.common') : one.name,
              }))}
              onChange={setShown}
            />
          </label>
          <span className="push" />
          <button
            type="button"
            className="link"
            onClick={() => change([{ break: false, before: '', after: '\\s', words: [''] }, ...group.rules])}
          >
            {t('rules.addWords')}
          </button>
          <button
            type="button"
            className="link"
            onClick={() => change([{ break: false, before: '', after: '\\s', words: null }, ...group.rules])}
          >
            {t('rules.addRule')}
          </button>
        </div>
        <p className="small quiet">{t('rules.order')}</p>
        <ol className="rule-list">
          {group.rules.map((rule, index) => (
            <li key={index}>
              <span className="rank tab">{index + 1}</span>
              <div>
                {rule.words ? (
                  <>
                    <p>{t('rules.neverAfter')}</p>
                    <Input.TextArea
                      autoSize={{ minRows: 1, maxRows: 6 }}
                      spellCheck={false}
                      aria-label={t('rules.wordsOf', { number: index + 1 })}
                      value={rule.words.join(' ')}
                      onChange={(event) => edit(index, { words: event.target.value.split(/[\s,;]+/) })}
                    />
                    <label className="after small quiet">
                      {t('rules.followedBy')}{' '}
                      <Input
                        size="small"
                        spellCheck={false}
                        className="pattern"
                        value={rule.after}
                        aria-label={t('rules.afterOf', { number: index + 1 })}
                        onChange={(event) => edit(index, { after: event.target.value })}
                      />
                    </label>
                  </>
                ) : (
                  <div className="patterns">
                    <Select
                      size="small"
                      value={rule.break}
                      aria-label={t('rules.kindOf', { number: index + 1 })}
                      options={[
                        { value: true, label: t('rules.split') },
                        { value: false, label: t('rules.dontSplit') },
                      ]}
                      onChange={(value) => edit(index, { break: value })}
                    />
                    <span className="small quiet">{t('rules.after')}</span>
                    <Input
                      size="small"
                      className="pattern"
                      spellCheck={false}
                      value={rule.before}
                      aria-label={t('rules.beforeOf', { number: index + 1 })}
                      onChange={(event) => edit(index, { before: event.target.value })}
                    />
                    <span className="small quiet">{t('rules.before')}</span>
                    <Input
                      size="small"
                      className="pattern"
                      spellCheck={false}
                      value={rule.after}
                      aria-label={t('rules.afterOf', { number: index + 1 })}
                      onChange={(event) => edit(index, { after: event.target.value })}
                    />
                  </div>
                )}
              </div>
              <span className="handles">
                <button
                  type="button"
                  disabled={index === 0}
                  aria-label={t('rules.up', { number: index + 1 })}
                  onClick={() => move(index, -1)}
                >
                  ↑
                </button>
                <button
                  type="button"
                  disabled={index === group.rules.length - 1}
                  aria-label={t('rules.down', { number: index + 1 })}
                  onClick={() => move(index, 1)}
                >
                  ↓
                </button>
                <button
                  type="button"
                  aria-label={t('rules.remove', { number: index + 1 })}
                  onClick={() => change(group.rules.filter((_, at) => at !== index))}
                >
                  ✕
                </button>
              </span>
            </li>
          ))}
        </ol>
      </section>
      <section className="trial">
        <div className="rules-head">
          <h2>{t('rules.tried')}</h2>
          <span className="small quiet">
            <ChoiceInPlace
              label={t('rules.textLanguage')}
              blank=""
              value={language}
              options={languageOptions}
              onChange={(value) => {
                setLanguage(value)
                setShown(groupOf(groups, value))
              }}
            />
          </span>
        </div>
        <Input.TextArea
          className="reading"
          rows={6}
          value={text}
          aria-label={t('rules.text')}
          placeholder={t('rules.textEmpty')}
          lang={language}
          onChange={(event) => setText(event.target.value)}
        />
        {fault ? (
          <p className="fault" role="alert">
            {fault}
          </p>
        ) : (
          trial && (
            <>
              <p className="small quiet" role="status">
                {trial.after === trial.before && !trial.lines.flat().some((one) => one.changed)
                  ? t('rules.nothingChanges', { count: trial.after })
                  : t('rules.changes', { before: trial.before, after: trial.after })}
              </p>
              <ol
                className="cut-text"
                aria-label={t('rules.result', { language: languageName(language) })}
                lang={language}
              >
                {trial.lines.map((line, at) =>
                  line.map((segment, index) => (
                    <li
                      key={`${at}-${index}`}
                      className={`${index === 0 ? 'first' : ''}${segment.changed ? ' changed' : ''}`}
                    >
                      {segment.text}
                      {segment.changed && <span className="hidden-text"> ({t('rules.changedHere')})</span>}
                    </li>
                  )),
                )}
              </ol>
            </>
          )
        )}
        <div className="acts">
          <Button
            type="primary"
            disabled={!touched || !!fault}
            loading={keep.isPending}
            onClick={() => keep.mutate()}
          >
            {t(project ? 'rules.keepProject' : 'rules.keepAll')}
          </Button>
          {project && (
            <button type="button" className="link" disabled={!!fault} onClick={() => keepForAll.mutate()}>
              {t('rules.keepAll')}
            </button>
          )}
          {ruling.from !== 'default' && (!project || ruling.from === 'project') && (
            <button type="button" className="link" onClick={() => drop.mutate()}>
              {t(project ? 'rules.dropProject' : 'rules.dropAll')}
            </button>
          )}
          <span className="push" />
          <button type="button" className="link" onClick={() => file.current?.click()}>
            {t('rules.import')}
          </button>
          <input
            ref={file}
            type="file"
            accept=".srx,.xml"
            className="hidden-text"
            tabIndex={-1}
            aria-label={t('rules.import')}
            onChange={(event) => {
              const chosen = event.target.files?.[0]
              event.target.value = ''
              if (chosen) bring.mutate(chosen)
            }}
          />
          <a className="link" href={`/api${base}/rules?as=srx`} download="rules.srx">
            {t('rules.export')}
          </a>
        </div>
        {project?.begun_at && <p className="small quiet">{t('rules.whatStays')}</p>}
      </section>
    </div>
  )
}

// The group whose pattern fits a language; the patterns are those of the file, matched here only to choose
// what is shown first.
function groupOf(groups: RuleGroup[], language: string): number {
  const at = groups.findIndex((group) => {
    try {
      return new RegExp(`^(?:${group.pattern})$`).test(language)
    } catch {
      return false
    }
  })
  return Math.max(at, 0)
}
