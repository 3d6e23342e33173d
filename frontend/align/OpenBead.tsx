// The open pair: a text of it is chosen, moved, taken out, cut or written anew; the pair confirmed or left out.
import { Input } from 'antd'
import type { TextAreaRef } from 'antd/es/input/TextArea'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { KEYS, matches, shown } from '../shared/keys'
import { direction } from '../shared/languages'
import { Key } from '../shared/parts/Key'
import { TextInPlace } from '../shared/parts/TextInPlace'
import { Ribbon, type BeadProps } from './BeadRow'
import type { Side } from './queries'

export function OpenBead({ bead, place, page, aligning }: BeadProps) {
  const { t } = useTranslation()
  return (
    <div className="bead-card" role="group" aria-label={t('align.pair', { number: place + 1 })}>
      <div className="bead">
        <Items {...{ bead, place, page, aligning }} side="source" />
        <Ribbon bead={bead} />
        <Items {...{ bead, place, page, aligning }} side="target" />
      </div>
      <Acts {...{ bead, place, page, aligning }} />
    </div>
  )
}

function Items({ bead, page, aligning, side }: BeadProps & { side: Side }) {
  const { t } = useTranslation()
  const lang = page.alignment[`${side}_lang`]
  return (
    <div className={`side ${side}`} lang={lang} dir={direction(lang)}>
      {bead[side].map((item, index) => {
        const chosen = aligning.side === side && aligning.index === index
        if (chosen && aligning.writing) return <Writing key={index} text={item.text} aligning={aligning} />
        return (
          <button
            key={index}
            type="button"
            className="plain item"
            aria-pressed={chosen}
            onClick={() => aligning.choose(side, index)}
          >
            {item.text}
          </button>
        )
      })}
      {bead[side].length === 0 && <i className="quiet">{t('align.opposite')}</i>}
    </div>
  )
}

// A text written anew, or cut where the caret stands.
function Writing({ text, aligning }: { text: string; aligning: BeadProps['aligning'] }) {
  const { t } = useTranslation()
  const [value, setValue] = useState(text)
  const field = useRef<TextAreaRef>(null)
  useEffect(() => field.current?.focus({ cursor: 'end' }), [])
  const { side, index, setWriting, edit } = aligning
  const leave = (keep: boolean) => {
    setWriting(false)
    if (keep && value.trim() !== text) edit({ act: 'write', side, index, text: value })
  }
  const cut = () => {
    const offset = field.current?.resizableTextArea?.textArea.selectionStart ?? 0
    setWriting(false)
    edit({ act: 'cut', side, index, offset })
  }
  return (
    <span className="writing">
      <Input.TextArea
        ref={field}
        autoSize
        aria-label={t('align.writing')}
        value={value}
        onChange={(event) => setValue(event.target.value)}
        onKeyDown={(event) => {
          const acts = { Enter: () => leave(true), Escape: () => leave(false) }
          const run = matches(event, KEYS.split) ? cut : acts[event.key as keyof typeof acts]
          event.stopPropagation()
          if (!run) return
          event.preventDefault()
          run()
        }}
        onBlur={() => leave(true)}
      />
      <span className="small quiet">{t('align.writeHint', { keys: shown(KEYS.split) })}</span>
    </span>
  )
}

function Acts({ bead, aligning }: BeadProps) {
  const { t } = useTranslation()
  const { edit, side, index, confirm, setWriting } = aligning
  const acts = [
    ['align.split', [KEYS.pairSplit], () => edit({ act: 'split' })],
    ['align.join', [KEYS.pairJoin], () => edit({ act: 'join' })],
    ['align.out', [KEYS.pairOut], () => edit({ act: 'take_out', side, index })],
    ['align.move', [KEYS.pairUp, KEYS.pairDown], () => edit({ act: 'down', side })],
    ['align.write', [KEYS.pairWrite], () => setWriting(true)],
    [bead.state === 'left' ? 'align.take' : 'align.leave', [KEYS.pairLeave], () => edit({ act: 'leave' })],
  ] as const
  return (
    <p className="acts small">
      {acts.map(([name, held, run]) => (
        <button key={name} type="button" onClick={run}>
          {t(name)}{' '}
          {held.map((one) => (
            <Key key={one} keys={one} />
          ))}
        </button>
      ))}
      <TextInPlace
        label={t('align.note')}
        blank={t('align.noteBlank')}
        value={bead.note}
        onChange={(note) => edit({ act: 'note', note })}
      />
      <span className="push" />
      <button type="button" className="confirm" onClick={confirm}>
        {t('align.confirm')} <Key keys={KEYS.finish} />
      </button>
    </p>
  )
}
