// A look before a text is cut anew: what would become of its translation. Nothing is asked where nothing
// would change.
import { App } from 'antd'
import { useCallback } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from './api'
import { number } from './i18n'

interface Look {
  before: number
  after: number
  kept: number
  loose: number
  examples: string[]
}

// Answers a function that resolves with whether to go on.
export function useSegmentationPreview(project: number) {
  const { t } = useTranslation()
  const { modal } = App.useApp()
  return useCallback(
    async (settings: unknown): Promise<boolean> => {
      const look = await api.post<Look>(`/projects/${project}/segmentation_preview`, settings)
      if (!look.loose) return true
      return modal.confirm({
        title: t('segmentationPreview.title', { before: number(look.before), after: number(look.after) }),
        content: (
          <>
            <p>{t('segmentationPreview.kept', { count: look.kept })}</p>
            <p>{t('segmentationPreview.loose', { count: look.loose })}</p>
            <ul className="cut-examples reading">
              {look.examples.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
            <p className="quiet">{t('segmentationPreview.back')}</p>
          </>
        ),
        okText: t('segmentationPreview.go'),
        cancelText: t('segmentationPreview.stay'),
        icon: null,
        width: 520,
      })
    },
    [modal, project, t],
  )
}
