// A reference file beside the text: a picture, a PDF, a document as it looks.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { referenceAddress, useReferences } from '../../shared/references'
import { MenuInPlace } from '../../shared/parts/MenuInPlace'

export function Reference({ project }: { project: number }) {
  const { t } = useTranslation()
  const list = useReferences(project).data ?? []
  const [id, setId] = useState<number | null>(null)
  const file = list.find((one) => one.id === id) ?? list[0]
  if (!file) return <p className="quiet">{t('references.none')}</p>
  const address = referenceAddress(file.id)
  return (
    <div className="reference">
      <p className="small">
        <MenuInPlace
          title={t('references.title')}
          label={file.name}
          value={String(file.id)}
          options={list.map((one) => ({ value: String(one.id), label: one.name }))}
          onChange={(value) => setId(Number(value))}
        />
      </p>
      {file.kind === 'image' ? (
        <img src={address} alt={file.name} />
      ) : (
        <iframe src={address} title={file.name} sandbox={file.kind === 'page' ? '' : undefined} />
      )}
    </div>
  )
}
