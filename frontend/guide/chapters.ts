// The guide in the language of the interface, chapter by chapter: the files of docs/guide, as they are.
// Loaded when it is opened or searched.
import type MiniSearch from 'minisearch'
import i18next, { language } from '../shared/i18n'
import { commandsMeant, searchOf } from '../shared/palette/search'

const TEXTS = import.meta.glob<string>('../../docs/guide/*/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
})
const PICTURES = import.meta.glob<string>('../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
})

export interface Section {
  chapter: string
  title: string
  // The title of its chapter.
  of: string
  place: string
  text: string
}
export interface Chapter {
  slug: string
  title: string
  text: string
  sections: Section[]
}

export const placeOf = (title: string) => title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')

// Where a picture of the text is found: "../../screenshots/brief.png".
export const pictureOf = (path: string) => PICTURES[path.replace('../../', '../../docs/')]

function chapterOf(path: string): Chapter {
  const text = TEXTS[path]
  const slug = path.replace(/^.*\/\d+-|\.md$/g, '')
  const [first, ...rest] = text.split(/^## /m)
  const title = first.match(/^# (.+)$/m)?.[1] ?? slug
  const sections = rest.map((part): Section => {
    const name = part.slice(0, part.indexOf('\n'))
    return { chapter: slug, title: name, of: title, place: placeOf(name), text: part }
  })
  // What stands before the first section belongs to the chapter as a whole.
  return {
    slug,
    title,
    text,
    sections: [{ chapter: slug, title, of: title, place: '', text: first }, ...sections],
  }
}

export const chapters: Chapter[] = Object.keys(TEXTS)
  .filter((path) => path.includes(`/guide/${language}/`))
  .toSorted()
  .map(chapterOf)

let index: MiniSearch | undefined
const sections = chapters.flatMap((chapter) => chapter.sections)

function indexed(): MiniSearch {
  if (index) return index
  index = searchOf(['title', 'of', 'text'])
  index.addAll(sections.map(({ title, of, text }, id) => ({ id, title, of, text })))
  return index
}

// Sections that have all the words, those first that have them in their titles; then those about the commands that
// have the words as synonyms.
export function sectionsWith(words: string): Section[] {
  const wanted = [words, ...commandsMeant(words).map((id) => i18next.t(id))]
  const found = wanted.flatMap((one) => indexed().search(one, { boost: { title: 6, of: 3 } }))
  return [...new Set(found.map(({ id }) => sections[id as number]))]
}
