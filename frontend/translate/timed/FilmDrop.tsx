// Where a film is given to subtitles that have none, or another one in its place.
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { DropFiles } from '../../shared/parts/DropFiles'
import { keys } from '../../shared/queryKeys'
import { useAct } from '../../shared/useAct'
import { giveFilm, takeFilmAway, type FilmFile } from './queries'

interface Props {
  document: number
  film?: FilmFile
}

export function FilmDrop({ document, film }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const cache = useQueryClient()
  const [share, setShare] = useState<number | null>(null)
  const refresh = () => cache.invalidateQueries({ queryKey: keys.cues(document) })
  const give = (files: File[]) =>
    void act(async () => {
      setShare(0)
      try {
        await giveFilm(document, files[0], setShare)
        await refresh()
      } finally {
        setShare(null)
      }
    })
  const takeAway = () =>
    void act(async () => {
      await takeFilmAway(document)
      await refresh()
    })
  if (share !== null)
    return <span role="status">{t('timed.sending', { percent: Math.round(share * 100) })}</span>
  if (film)
    return (
      <button type="button" className="link" onClick={takeAway}>
        {t('timed.takeAway')}
      </button>
    )
  return (
    <DropFiles onFiles={give} slim>
      <b>{t('timed.dropFilm')}</b>
      <span className="small quiet">{t('timed.dropHint')}</span>
    </DropFiles>
  )
}
