// Reference files of a project: pictures, PDF, documents, looked at beside the text and never translated.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { DropFiles } from '../shared/parts/DropFiles'
import { keys } from '../shared/queryKeys'
import { addReferences, dropReference, referenceAddress, useReferences } from '../shared/references'
import { useAct } from '../shared/useAct'

export function References({ project }: { project: number }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const list = useReferences(project).data ?? []
  const put = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      await cache.invalidateQueries({ queryKey: keys.references(project) })
    })
  return (
    <section className="references">
      <h2>{t('references.title')}</h2>
      <ul>
        {list.map((file) => (
          <li key={file.id}>
            <a className="plain-link" href={referenceAddress(file.id)} target="_blank" rel="noreferrer">
              {file.name}
            </a>
            <button
              type="button"
              className="quiet"
              aria-label={`${t('brief.remove')}: ${file.name}`}
              onClick={() => put(() => dropReference(file.id))}
            >
              ✕
            </button>
          </li>
        ))}
      </ul>
      <DropFiles slim onFiles={(files) => put(() => addReferences(project, files))}>
        <span className="quiet">
          {busy ? t('references.sending') : t('references.drop')}{' '}
          <span className="plain-link">{t('brief.choose')}</span>
        </span>
      </DropFiles>
    </section>
  )
}
