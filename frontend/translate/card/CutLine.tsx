// Where to split a source: the gap is walked along the words with the arrows, or clicked.
import { useEffect, useMemo, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import { direction } from '../../shared/languages'
import type { Segment } from '../../shared/types'

interface Props {
  segment: Segment
  lang: string | null
  onCut: (at: number) => void
  onClose: () => void
}

export function CutLine({ segment, lang, onCut, onClose }: Props) {
  const { t } = useTranslation()
  const text = useMemo(() => plain(segment.source, segment.codes), [segment])
  // Offsets in code points at which a word ends, as the server counts them.
  const words = useMemo(() => {
    const list: { text: string; end: number }[] = []
    let end = 0
    for (const part of new Intl.Segmenter(lang ?? 'en', { granularity: 'word' }).segment(text)) {
      end += Array.from(part.segment).length
      const last = list[list.length - 1]
      // Marks and blanks go with the word before them.
      if (last && !part.isWordLike) {
        last.text += part.segment
        last.end = end
      } else list.push({ text: part.segment, end })
    }
    return list
  }, [text, lang])
  const gaps = words.length - 1
  const [at, setAt] = useState(() => {
    const found = words.findIndex(
      (word, index) => index < words.length - 1 && /[.?!;:。！？]\s*$/.test(word.text),
    )
    return found >= 0 ? found : Math.max(0, Math.floor(gaps / 2) - 1)
  })
  const line = useRef<HTMLDivElement>(null)
  useEffect(() => {
    line.current?.focus()
  }, [])
  if (gaps < 1) return <p className="cut-line small quiet">{t('cut.tooShort')}</p>
  const move = (step: number) => setAt((now) => Math.max(0, Math.min(gaps - 1, now + step)))
  const back = direction(lang) === 'rtl'
  const press = (event: React.KeyboardEvent) => {
    const step = {
      ArrowRight: back ? -1 : 1,
      ArrowLeft: back ? 1 : -1,
      ArrowDown: 5,
      ArrowUp: -5,
      Home: -gaps,
      End: gaps,
    }[event.key]
    if (step !== undefined) move(step)
    else if (event.key === 'Enter') onCut(words[at].end)
    else if (event.key === 'Escape') onClose()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <div className="cut-line">
      <div
        ref={line}
        role="slider"
        tabIndex={0}
        aria-label={t('cut.where')}
        aria-valuemin={1}
        aria-valuemax={gaps}
        aria-valuenow={at + 1}
        aria-valuetext={t('cut.between', { before: words[at].text.trim(), after: words[at + 1].text.trim() })}
        onKeyDown={press}
      >
        <div className="reading" lang={lang ?? undefined} dir={direction(lang)}>
          {words.map((word, index) => (
            <span
              key={index}
              onClick={() => {
                if (index < gaps) setAt(index)
              }}
              onDoubleClick={() => {
                if (index < gaps) onCut(words[index].end)
              }}
            >
              {word.text}
              {index === at && (
                <i className="cut" aria-hidden>
                  ⁞
                </i>
              )}
            </span>
          ))}
        </div>
      </div>
      <p className="small quiet">
        {t('cut.how')}{' '}
        <button type="button" className="link" onClick={() => onCut(words[at].end)}>
          {t('cut.do')}
        </button>
      </p>
    </div>
  )
}
