// The strip, the text with the open segment as a card in its place, the companion.
import { useCallback } from 'react'
import { useTranslation } from 'react-i18next'
import { Frame } from '../shared/Frame'
import { useSettings } from '../shared/settings'
import type { Origin, Version } from '../shared/types'
import { useAct } from '../shared/useAct'
import { ColumnHead } from './ColumnHead'
import { Beside } from './companion/Beside'
import { lookOf } from './Look'
import { MarksContext } from './marks'
import { NotedContext } from './noted'
import { Strip } from './Strip'
import { TextRows } from './TextRows'
import { UnderText } from './UnderText'
import { AFAR } from './useNavigation'
import { PresenceContext } from './usePresence'
import { TimedContext } from './timed/useTimed'
import { useReading, type ReadingParts } from './useReading'
import { WhatWasDone } from './WhatWasDone'

export function Reading({ said, ...parts }: ReadingParts & { said: string }) {
  const { project, listing, store, say } = parts
  const { t } = useTranslation()
  const { mode, user } = useSettings()
  const { act } = useAct()
  const reading = useReading({ ...parts, act })
  const { shown, card, scroll, cuts, companion, undoHistory, progress, segment, revision, goTo } = reading
  const { open, openAt, openRow, close, rows } = reading.opening
  const { folded, apart } = companion
  const fromMap = useCallback((index: number) => openRow(index, AFAR), [openRow])
  const insert = useCallback((text: string) => card.current?.insert(text), [card])
  const write = useCallback((text: string, origin: Origin) => card.current?.write(text, origin), [card])
  const restore = useCallback((old: Version) => card.current?.write(old.target, old.origin), [card])
  return (
    <Frame project={project} words={progress}>
      <NotedContext value={reading.noted}>
        <MarksContext value={reading.marks}>
          <PresenceContext value={reading.others}>
            <TimedContext value={reading.timed}>
              <div
                className={`translate${folded || apart ? ' folded' : ''}`}
                data-digits={String(store.segments.length).length}
                {...lookOf(user.preferences.reading)}
              >
                <Strip
                  segments={shown.segments}
                  order={shown.order}
                  inked={store.inked}
                  done={store.done().segments}
                  from={rows.range?.startIndex ?? 0}
                  to={rows.range?.endIndex ?? 0}
                  open={openAt}
                  mode={mode}
                  marks={reading.marks}
                  onGo={fromMap}
                />
                <section className="column" aria-label={t('stages.translate')}>
                  <ColumnHead
                    {...{ listing, store, act, open }}
                    shown={shown.choices}
                    nextUnfinished={reading.nextUnfinished}
                    project={project.id}
                    wordsLeft={reading.wordsLeft}
                    onFilter={close}
                  />
                  <TextRows
                    files={reading.files}
                    {...{ project, store, shown, open, rows, scroll, card, cuts, say }}
                    onOpen={openRow}
                    onFinish={reading.actions.finish!}
                    onEntry={companion.showEntry}
                  />
                  <UnderText {...{ store, open, act, said, goTo }}>
                    {reading.done && (
                      <WhatWasDone
                        store={store}
                        onTakeBack={undoHistory.takeBack}
                        onClose={() => reading.setDone(false)}
                      />
                    )}
                  </UnderText>
                  {folded && !apart && (
                    <button
                      type="button"
                      className="unfold"
                      aria-label={t('companion.unfold')}
                      onClick={() => companion.setFolded(false)}
                    >
                      ←
                    </button>
                  )}
                </section>
                {reading.current !== undefined && (
                  <Beside
                    {...{ project, store, revision, open: segment, document: reading.current }}
                    where={companion}
                    onInsert={insert}
                    onOpen={goTo}
                    onRestore={restore}
                    onWrite={write}
                    onOnly={shown.setOnly}
                  />
                )}
              </div>
            </TimedContext>
          </PresenceContext>
        </MarksContext>
      </NotedContext>
    </Frame>
  )
}
