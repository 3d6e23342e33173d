// The guide: its chapters at the left, searched by words; one of them to read.
import { Input } from 'antd'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useLocation, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { chapters, sectionsWith } from './chapters'
import { GuideText } from './GuideText'
import './guide.css'

export default function Guide() {
  const { t } = useTranslation()
  const { hash } = useLocation()
  const asked = useParams().chapter
  const chapter = chapters.find(({ slug }) => slug === asked) ?? chapters[0]
  const [words, setWords] = useState('')
  useEffect(() => {
    const place = hash && document.getElementById(decodeURIComponent(hash.slice(1)))
    if (place) place.scrollIntoView()
    else document.getElementById('content')?.scrollTo(0, 0)
  }, [chapter, hash])
  return (
    <Frame>
      <div className="guide">
        <nav aria-label={t('guide.title')}>
          <h2>{t('guide.title')}</h2>
          <Input
            allowClear
            value={words}
            placeholder={t('guide.search')}
            aria-label={t('guide.search')}
            onChange={(event) => setWords(event.target.value)}
          />
          {words.trim() ? <Found words={words} /> : <Contents open={chapter.slug} />}
        </nav>
        <article>
          <GuideText text={chapter.text} />
        </article>
      </div>
    </Frame>
  )
}

const Contents = ({ open }: { open: string }) => (
  <ol>
    {chapters.map(({ slug, title }) => (
      <li key={slug}>
        <Link to={`/guide/${slug}`} aria-current={slug === open ? 'page' : undefined}>
          {title}
        </Link>
      </li>
    ))}
  </ol>
)

function Found({ words }: { words: string }) {
  const { t } = useTranslation()
  const found = sectionsWith(words)
  if (!found.length) return <p className="quiet">{t('guide.nothing')}</p>
  return (
    <ul aria-live="polite">
      {found.map(({ chapter, place, title, of }) => (
        <li key={`${chapter}/${place}`}>
          <Link to={`/guide/${chapter}#${place}`}>{title}</Link>{' '}
          {of !== title && <span className="small quiet">{of}</span>}
        </li>
      ))}
    </ul>
  )
}
