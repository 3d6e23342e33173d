// Above an alignment: the files, how far it is, what is shown, where it goes.
import { InputNumber } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { KEYS } from '../shared/keys'
import { Key } from '../shared/parts/Key'
import { PairExport } from './PairExport'
import type { AlignmentPage } from './queries'
import type { Aligning, Narrowed } from './useAligning'
import { AlignmentDetails } from './AlignmentDetails'

interface Props {
  page: AlignmentPage
  aligning: Aligning
}
const NARROWED: Narrowed[] = ['all', 'doubtful', 'single', 'confirmed']
const USUAL = 0.9
const STEP = 0.05

export function AlignHead({ page, aligning }: Props) {
  const { t } = useTranslation()
  const { alignment } = page
  const { counts, source_file, target_file } = alignment
  return (
    <>
      <header>
        <div>
          <h1>{alignment.name}</h1>
          <p className="small quiet">
            {t('align.files', { source: source_file, target: target_file })} ·{' '}
            <AlignmentDetails alignment={alignment} />
          </p>
          <p className="small quiet">
            <PairExport alignment={alignment} />
          </p>
        </div>
        <div className="amounts">
          <p role="status">
            <b className="tab">{number(counts.pairs)}</b>{' '}
            {t('align.pairs', { count: counts.pairs, text: '' }).trim()} ·{' '}
            <b className="tab">{number(counts.doubtful)}</b> {t('align.doubtful', { text: '' }).trim()} ·{' '}
            <b className="tab">{number(counts.confirmed)}</b> {t('align.confirmed', { text: '' }).trim()}
          </p>
          <ConfirmAbove {...{ page, aligning }} />
        </div>
      </header>
      {alignment.message && <p className="small alarm">{alignment.message}</p>}
      <div className="choices small">
        <div role="group" aria-label={t('align.shown')}>
          {NARROWED.map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={aligning.narrowed === one}
              onClick={() => aligning.setNarrowed(one)}
            >
              {t(`align.narrowed.${one}`)}
            </button>
          ))}
        </div>
        <p>
          <button type="button" className="quiet-link" disabled={!alignment.can_undo} onClick={aligning.undo}>
            {t('align.undo')} <Key keys={KEYS.takeBack} />
          </button>
          <button type="button" className="quiet-link" disabled={!alignment.can_redo} onClick={aligning.redo}>
            {t('align.redo')} <Key keys={KEYS.doAgain} />
          </button>
        </p>
      </div>
    </>
  )
}

// With the number it would be.
function ConfirmAbove({ page, aligning }: Props) {
  const { t } = useTranslation()
  const [above, setAbove] = useState(USUAL)
  const would = page.beads.filter(
    ({ source, target, state, set, probability }) =>
      source.length && target.length && state === null && (set || (probability ?? 0) >= above),
  ).length
  return (
    <p className="small">
      <button type="button" className="link" onClick={() => aligning.nextDoubtful()}>
        {t('align.nextDoubtful')} <Key keys={KEYS.nextUnfinished} />
      </button>
      <button
        type="button"
        className="link"
        disabled={would === 0}
        onClick={() => aligning.confirmAbove(above)}
      >
        {t('align.confirmAbove')}
      </button>{' '}
      <InputNumber
        size="small"
        aria-label={t('align.above')}
        value={above}
        min={0}
        max={1}
        step={STEP}
        onChange={(value) => setAbove(value ?? USUAL)}
      />{' '}
      <span className="quiet">{t('align.wouldBe', { count: would })}</span>
    </p>
  )
}
