// New projects from templates: a press begins the brief, and files dropped on a template begin it with them.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { useTemplates } from '../shared/useTemplates'
import type { Template } from '../shared/types'
import type { Start } from './useNewBrief'

export function Templates({ start }: { start: Start }) {
  const { t } = useTranslation()
  const list = useTemplates().data ?? []
  if (!list.length) return null
  return (
    <>
      <h3>{t('template.title')}</h3>
      <ul className="side-list templates">
        {list.map((template) => (
          <TemplateLine key={template.id} template={template} start={start} />
        ))}
      </ul>
    </>
  )
}

function TemplateLine({ template, start }: { template: Template; start: Start }) {
  const { t } = useTranslation()
  const [over, setOver] = useState(false)
  const known = () => ({ template_id: template.id })
  return (
    <li
      className={over ? 'over' : ''}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault()
        event.stopPropagation()
        setOver(false)
        start([...event.dataTransfer.files], known)
      }}
    >
      <button
        type="button"
        className="plain-link"
        title={t('template.dropHint')}
        aria-label={t('template.newFrom', { name: template.name })}
        onClick={() => start([], known)}
      >
        {template.name}
      </button>
      <Link
        className="quiet small"
        aria-label={`${t('template.edit')}: ${template.name}`}
        to={`/projects/${template.id}/brief`}
      >
        {t('template.edit')}
      </Link>
    </li>
  )
}
