// The files of a count: what each holds, its bar, and the same file in the count beside it.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { BandBar } from '../shared/parts/BandBar'
import { BANDS, type Beside, type CountedFile } from '../shared/types'
import { signed } from './figures'

export function Files({ files, beside }: { files: CountedFile[]; beside: Beside | null }) {
  const { t } = useTranslation()
  const gone = beside?.comparison.files.filter((file) => file.words === null) ?? []
  return (
    <>
      <h2 className="files-head">{t('count.files')}</h2>
      <ul className="counted-files">
        {files.map((file, index) => (
          <FileLine key={file.document_id} file={file} other={beside?.comparison.files[index]} />
        ))}
        {gone.map((file) => (
          <li key={file.name} className="quiet">
            <div>
              {file.name}{' '}
              <p className="small">{t('count.onlyBeside', { words: number(file.beside ?? 0) })}</p>
            </div>
          </li>
        ))}
      </ul>
    </>
  )
}

type OtherFile = Beside['comparison']['files'][number]

function FileLine({ file, other }: { file: CountedFile; other?: OtherFile }) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const facts = [
    file.format,
    t('brief.segments', { count: file.segments }),
    t('count.characters', {
      characters: number(file.characters),
      without: number(file.characters_without_spaces),
    }),
    file.codes > 0 && t('count.codes', { count: file.codes }),
    file.by_character && t('count.byCharacter'),
  ]
  return (
    <li>
      <div className="counted">
        <b>{file.name}</b>
        <p className="small quiet">
          {facts.filter(Boolean).join(' · ')} ·{' '}
          <button type="button" className="plain-link" aria-expanded={open} onClick={() => setOpen(!open)}>
            {t('count.byBand')}
          </button>
        </p>
        {open && <ByBand file={file} />}
      </div>
      <span className="tab words">
        {number(file.words)}
        {other && (
          <span className="small quiet">
            {' '}
            {other.beside === null ? t('count.notBeside') : signed(file.words - other.beside)}
          </span>
        )}
      </span>
      <BandBar files={[file.groups]} />
    </li>
  )
}

// The words of a file, and in brackets its segments, for each band that has some.
function ByBand({ file }: { file: CountedFile }) {
  const { t } = useTranslation()
  return (
    <ul className="by-band small">
      {BANDS.filter((band) => file.bands[band].segments > 0).map((band) => (
        <li key={band}>
          {t(`bandNames.${band}`)} <b className="tab">{number(file.bands[band].words)}</b>{' '}
          <span className="quiet tab">({number(file.bands[band].segments)})</span>
        </li>
      ))}
    </ul>
  )
}
