// The open segment: its source, the target being written, and the proposals right below.
import { useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useImperativeHandle, useMemo, useRef, useState, type Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { codeParts, parts, plain, written } from '../shared/content'
import { KEYS } from '../shared/keys'
import { direction } from '../shared/languages'
import { Key, Moon } from '../shared/parts'
import type { Origin, Project, Proposal, Segment } from '../shared/types'
import { CutLine } from './CutLine'
import type { Store } from './store'
import { TargetEditor, type TargetHandle } from './TargetEditor'
import { Proposals } from './Proposals'
import { TwoWordings } from './TwoWordings'
import { blockedText, useUnsent } from './Unsent'
import { Written } from './Written'

export const proposalsQuery = (id: number) => ({
  queryKey: ['proposals', id],
  queryFn: () => api.get<{ proposals: Proposal[] }>(`/segments/${id}/proposals`),
  staleTime: 0,
  gcTime: 300_000,
})

export interface CardHandle {
  finish: () => boolean
  take: (number?: number) => void
  choose: (step: number) => void
  missingCode: () => void
  takeSource: () => void
  undo: () => void
  redo: () => void
  write: (value: string, origin: Origin) => void
  insert: (text: string) => void
  selected: () => { text: string; side: 'source' | 'target' }
  focus: () => void
}

interface Props {
  segment: Segment
  store: Store
  project: Project
  cutting: boolean
  onCut: (at: number | null) => void
  onFinish: () => void
  onSay: (text: string) => void
  ref: Ref<CardHandle>
}

export function Card({ segment, store, project, cutting, onCut, onFinish, onSay, ref }: Props) {
  const { t } = useTranslation()
  const target = useRef<TargetHandle>(null)
  // What the text of this segment goes back to as it is typed on.
  const origin = useRef<Origin>(segment.origin.kind ? segment.origin : { kind: 'typed' })
  const taking = useRef(false)
  const showing = useRef(false)
  const { data, isFetching } = useQuery(proposalsQuery(segment.id))
  const proposals = useMemo(() => data?.proposals ?? [], [data])
  const [chosen, setChosen] = useState(0)
  const status = useUnsent(store.outbox)
  const pending = store.outbox.pending(segment.id)

  const changed = useCallback(
    (value: string) => {
      if (showing.current) return
      if (!taking.current) {
        const kind = origin.current.kind
        origin.current =
          kind === 'memory' || kind === 'machine' ? { ...origin.current, touched: true } : { kind: 'typed' }
      }
      store.draft(segment.id, value, origin.current)
    },
    [segment.id, store],
  )

  const put = useCallback(
    (value: string, from: Origin) => {
      origin.current = from
      taking.current = true
      target.current?.replace(value)
      taking.current = false
      store.draft(segment.id, value, from)
    },
    [segment.id, store],
  )

  // A wording that came from elsewhere: it is shown, and is not typing.
  const show = useCallback((value: string) => {
    showing.current = true
    target.current?.replace(value)
    showing.current = false
  }, [])
  useEffect(() => {
    if (!pending && target.current && target.current.value() !== segment.target) show(segment.target)
  }, [pending, segment.target, segment.version, show])

  const take = useCallback(
    (number?: number) => {
      if (number === 0) return put(segment.source, { kind: 'source' })
      const proposal = proposals[number === undefined ? Math.min(chosen, proposals.length - 1) : number - 1]
      if (proposal)
        put(
          proposal.target,
          proposal.kind === 'file' || proposal.kind === 'earlier'
            ? { kind: proposal.kind, score: proposal.score }
            : { kind: 'memory', score: proposal.score, memory: proposal.memory, unit: proposal.unit },
        )
    },
    [chosen, proposals, put, segment.source],
  )

  useImperativeHandle(
    ref,
    () => ({
      take,
      write: put,
      insert: (text) => target.current?.insert(text),
      selected: () => chosenText(target.current?.selected() ?? ''),
      focus: () => target.current?.focus(),
      undo: () => target.current?.undo(),
      redo: () => target.current?.redo(),
      choose: (step) => setChosen((at) => Math.max(0, Math.min(proposals.length - 1, at + step))),
      missingCode: () => target.current?.insertMissing(),
      takeSource: () => take(0),
      finish: () => {
        const value = target.current?.value() ?? segment.target
        if (!value.trim()) {
          onSay(t('translate.empty_target'))
          return false
        }
        store.confirm(segment.id, value, origin.current)
        const lost = missingCodes(segment.source, value)
        if (lost.length) onSay(t('translate.lost', { codes: lost.join(' ') }))
        return true
      },
    }),
    [onSay, proposals.length, put, segment.id, segment.source, segment.target, store, t, take],
  )

  // The caret goes where the work is, without moving the text.
  useEffect(() => {
    target.current?.focus()
  }, [])

  const lost = missingCodes(segment.source, segment.target)
  const lengths = {
    source: plain(segment.source, segment.codes).length,
    target: plain(segment.target, segment.codes).length,
  }
  return (
    <div
      className={`card block-${segment.block}`}
      aria-label={t('translate.segment', { number: segment.position })}
      role="group"
    >
      <div className="inner">
        <div className="gutter" style={{ paddingRight: 11 }}>
          <span>{segment.position}</span>
          <Moon state={segment.state} />
        </div>
        <div>
          <Where segment={segment} />
          <div
            className="source"
            id={`source-${segment.id}`}
            lang={project.source_lang ?? undefined}
            dir={direction(project.source_lang)}
          >
            <Written value={segment.source} codes={segment.codes} />
          </div>
          {segment.note && <p className="note small quiet">{segment.note}</p>}
          {cutting && (
            <CutLine
              segment={segment}
              lang={project.source_lang}
              onCut={onCut}
              onClose={() => {
                onCut(null)
                target.current?.focus()
              }}
            />
          )}
          <div className="editor">
            <TargetEditor
              ref={target}
              value={segment.target}
              source={segment.source}
              codes={segment.codes}
              label={t('translate.target', { number: segment.position })}
              describedBy={`source-${segment.id}`}
              empty={t('translate.empty')}
              dir={direction(project.target_lang)}
              lang={project.target_lang ?? ''}
              onChange={changed}
              onDropped={() => onSay(t('translate.droppedCharacters'))}
            />
          </div>
          {pending?.trouble?.kind === 'changed' && (
            <TwoWordings
              entry={pending}
              segment={segment}
              project={project}
              store={store}
              outbox={store.outbox}
              onTheirs={show}
            />
          )}
        </div>
      </div>
      <div className="foot">
        <span>{[originText(segment, t), segment.target && keptText()].filter(Boolean).join(' · ')}</span>
        {segment.target && (
          <span className="tab">
            {segment.limit
              ? t('translate.limit', { target: lengths.target, limit: segment.limit })
              : t('translate.length', lengths)}
          </span>
        )}
        {segment.target && lost.length > 0 && (
          <span className={segment.state === 'draft' ? '' : 'lost'}>
            {t(segment.state === 'draft' ? 'translate.codesToCome' : 'translate.lostCodes')}{' '}
            <Written value={lost.join('')} codes={segment.codes} />{' '}
            {segment.state === 'draft' && <Key keys={KEYS.missingCode} />}
          </span>
        )}
        {segment.marked && <span>{t('translate.cameBack')}</span>}
        {segment.exempt && <span>{t('translate.apart')}</span>}
        <span className="push" />
        <button type="button" onClick={onFinish}>
          {t('translate.finish')} <Key keys={KEYS.finish} />
        </button>
      </div>
      <Proposals
        proposals={proposals}
        segment={segment}
        project={project}
        chosen={chosen}
        searching={isFetching}
        onTake={(number) => {
          if (number > 0) setChosen(number - 1)
          take(number)
        }}
      />
    </div>
  )

  function keptText() {
    if (pending?.trouble) return t('unsent.held')
    if (pending) return status.blocked ? t(blockedText(status.blocked), { count: 1 }) : t('translate.sending')
    return segment.state === 'draft'
      ? `${t('states.draft')} ${t('translate.kept')}`
      : t(`states.${segment.state}`)
  }
}

// What is marked in the text, in the target or anywhere in the card.
function chosenText(inTarget: string): { text: string; side: 'source' | 'target' } {
  if (inTarget.trim()) return { text: inTarget.trim(), side: 'target' }
  const selection = window.getSelection()
  const anchor = selection?.anchorNode
  const inSource = (anchor instanceof Element ? anchor : anchor?.parentElement)?.closest('.card .source')
  return { text: inSource ? (selection?.toString().trim() ?? '') : '', side: 'source' }
}

export function missingCodes(source: string, target: string): string[] {
  const have = parts(target)
    .filter((part) => !('text' in part))
    .map(written)
  return codeParts(source)
    .map(written)
    .filter((code) => {
      const at = have.indexOf(code)
      if (at >= 0) {
        have.splice(at, 1)
        return false
      }
      return true
    })
}

export function originText(
  segment: Segment,
  t: (key: string, values?: Record<string, unknown>) => string,
): string {
  const { kind, score, touched } = segment.origin
  if (!segment.target) return ''
  if (kind === 'memory') return t(touched ? 'translate.fromMemoryTouched' : 'translate.fromMemory', { score })
  if (kind === 'file' || kind === 'earlier')
    return t(kind === 'file' ? 'translate.withFile' : 'translate.earlier')
  return kind === 'repeated'
    ? t('translate.repeated')
    : kind === 'source'
      ? t('translate.copied')
      : kind === 'machine'
        ? t('translate.machine')
        : t('translate.typed')
}

export function Where({ segment }: { segment: Segment }) {
  return /table|header|foot|note|text box|alternative|title/.test(segment.path) &&
    segment.block !== 'title' ? (
    <div className="where">{segment.path}</div>
  ) : null
}
