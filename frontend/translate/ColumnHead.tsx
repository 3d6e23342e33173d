// Over the text: what is shown of it, how much is left, how repeats and proposals are handled.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { KEYS } from '../shared/keys'
import { Key } from '../shared/parts/Key'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { useSettings } from '../shared/settings'
import type { Act } from '../shared/useAct'
import { usePrefer, type Listing } from './queries'
import { ALL_FILES, FILTERS, type Filter, type Shown } from './useShown'

const FLOORS = [30, 40, 50, 60, 70, 75, 80, 85]
const USUAL_FLOOR = 50

interface Props {
  listing: Listing
  shown: Shown
  wordsLeft: number
  act: Act
  nextUnfinished: () => void
  onFilter: () => void
}

export function ColumnHead({ listing, shown, wordsLeft, act, nextUnfinished, onFilter }: Props) {
  const { t } = useTranslation()
  return (
    <div className="column-head">
      {t('translate.showing')}{' '}
      <MenuInPlace
        title={t('translate.filter')}
        label={t(`translate.${shown.filter}`)}
        value={shown.filter}
        options={FILTERS.map((value) => ({ value, label: t(`translate.${value}`) }))}
        onChange={(value) => {
          shown.setFilter(value as Filter)
          onFilter()
        }}
      />
      {listing.documents.length > 1 && <FileChoice {...{ listing, shown, onFilter }} />}
      <span className="tab">
        · {t('translate.count', { count: shown.order.length })} · {number(wordsLeft)}{' '}
        {t('translate.wordsLeft')}
      </span>
      <span className="push" />
      <Preferences act={act} />
      <button type="button" onClick={nextUnfinished}>
        {t('translate.nextUnfinished')} <Key keys={KEYS.nextUnfinished} />
      </button>
    </div>
  )
}

function FileChoice({ listing, shown, onFilter }: Pick<Props, 'listing' | 'shown' | 'onFilter'>) {
  const { t } = useTranslation()
  const files = [
    { value: ALL_FILES, label: t('translate.allFiles', { count: listing.documents.length }) },
    ...listing.documents.map((one) => ({ value: String(one.id), label: one.name })),
  ]
  return (
    <>
      {t('translate.in')}{' '}
      <MenuInPlace
        title={t('translate.file')}
        label={files.find((one) => one.value === shown.file)?.label ?? ''}
        value={shown.file}
        options={files}
        onChange={(value) => {
          shown.setFile(value)
          onFilter()
        }}
      />
    </>
  )
}

function Preferences({ act }: { act: Act }) {
  const { t } = useTranslation()
  const { user } = useSettings()
  const prefer = usePrefer(act)
  const floor = Number(user.preferences.floor ?? USUAL_FLOOR)
  const way = user.preferences.confirm_repeats ? 'confirm' : 'draft'
  return (
    <>
      <MenuInPlace
        title={t('translate.repeats')}
        label={t(`translate.repeatWays.${way}`)}
        value={way}
        options={['draft', 'confirm'].map((value) => ({ value, label: t(`translate.repeatWays.${value}`) }))}
        onChange={(value) => prefer({ confirm_repeats: value === 'confirm' })}
      />
      <MenuInPlace
        title={t('translate.floor')}
        label={t('translate.floorAt', { score: floor })}
        value={String(floor)}
        options={FLOORS.map((score) => ({
          value: String(score),
          label: t('translate.floorAt', { score }),
        }))}
        onChange={(value) => prefer({ floor: Number(value) })}
      />
    </>
  )
}
