// The head of the text: what is shown, how much is left, translation settings.
import { memo } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { number } from '../shared/i18n'
import { KEYS } from '../shared/keys'
import { Key } from '../shared/parts/Key'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { Act } from '../shared/useAct'
import { Filter as SegmentFilter } from './filter/Filter'
import { Look } from './Look'
import { Pretranslate } from './pretranslate/Pretranslate'
import type { Listing } from './queries'
import { Replace } from './replace/Replace'
import type { Store } from './store'
import { CueSum } from './timed/CueSum'
import { ALL_FILES, FILTERS, type Choices, type Filter } from './useShown'
import { Ways } from './Ways'

// More files are found by typing.
const MENU = 9

interface Props {
  project: number
  store: Store
  listing: Listing
  shown: Choices
  open: number | null
  wordsLeft: number
  act: Act
  nextUnfinished: () => void
  onFilter: () => void
}

export const ColumnHead = memo(function ColumnHead(props: Props) {
  const { project, store, listing, shown, open, wordsLeft, act, nextUnfinished, onFilter } = props
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
      <SegmentFilter
        project={project}
        conditions={shown.conditions}
        onChange={(conditions) => {
          shown.setConditions(conditions)
          onFilter()
        }}
      />
      {shown.only && (
        <button type="button" className="only" onClick={() => shown.setOnly(null)}>
          {t('translate.only', { name: shown.only.name })} <span aria-hidden="true">×</span>
        </button>
      )}
      {listing.documents.length > 1 && <FileChoice {...{ listing, shown, onFilter }} />}
      <CueSum
        store={store}
        count={shown.order.length}
        otherwise={
          <span className="tab">
            · {t('translate.count', { count: shown.order.length })} · {number(wordsLeft)}{' '}
            {t('translate.wordsLeft')}
          </span>
        }
      />
      <SendShown {...{ project, shown, listing }} />
      <span className="push" />
      <Replace project={project} />
      <Pretranslate {...{ project, shown, listing, open }} />
      <Ways act={act} />
      <Look act={act} />
      <button type="button" onClick={nextUnfinished}>
        {t('translate.nextUnfinished')} <Key keys={KEYS.nextUnfinished} />
      </button>
    </div>
  )
})

// What the filter leaves goes out for review.
function SendShown({ project, shown, listing }: Pick<Props, 'project' | 'shown' | 'listing'>) {
  const { t } = useTranslation()
  if (!shown.order.length || shown.order.length === listing.segments.length) return null
  return (
    <Link className="quiet-link" to={`/projects/${project}/review`} state={{ segments: shown.order }}>
      {t('translate.sendShown')}
    </Link>
  )
}

function FileChoice({ listing, shown, onFilter }: Pick<Props, 'listing' | 'shown' | 'onFilter'>) {
  const { t } = useTranslation()
  const files = [
    { value: ALL_FILES, label: t('translate.allFiles', { count: listing.documents.length }) },
    ...listing.documents.map((one) => ({ value: String(one.id), label: one.name })),
  ]
  const choose = (value: string) => {
    shown.setFile(value)
    onFilter()
  }
  const label = files.find((one) => one.value === shown.file)?.label ?? ''
  const title = t('translate.file')
  return (
    <>
      {t('translate.in')}{' '}
      {files.length > MENU ? (
        <ChoiceInPlace label={title} blank={label} value={shown.file} options={files} onChange={choose} />
      ) : (
        <MenuInPlace {...{ title, label }} value={shown.file} options={files} onChange={choose} />
      )}
    </>
  )
}
