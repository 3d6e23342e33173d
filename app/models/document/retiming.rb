# The times of subtitles changed, cues split and joined: kept as edits of the client’s file, which stays as
# it came.
module Document::Retiming
  # What a file holds once its cues are changed is read anew by these.
  FORMATS = Document::Timed::FORMATS
  WORD = /\S+/

  # start, finish: seconds, put on the film's frames and apart from the cues beside it.
  def retime(segment, start:, finish:, by:)
    cue, before, after = around(segment)
    wanted = [start || cue.start, finish || cue.finish || cue.start]
    settled = Glossema::Timing::Settling.new(project.cue_limits).settle(*wanted, before: before, after: after)
    edit_cues({ "act" => "times", "cue" => cue.number, **%w[start finish].zip(settled.map { |one|
      decimal(one)
    }).to_h },
      by: by)
  end

  # Moves a cue, or it and all after it, by so many seconds.
  def shift_cues(segment, seconds, rest:, by:)
    cue, = around(segment)
    last = rest ? cues.last.first.number : cue.number
    edit_cues({ "act" => "shift", "from" => cue.number, "to" => last, "by" => decimal(seconds) }, by: by)
  end

  # at: offset (code points) in the source; the time is parted as the text is.
  def split_cue(segment, at, by:)
    cue, = around(segment)
    text = segment.source_content.text
    words = text[0...at].scan(WORD).size
    raise Glossema::Refused.new("split-edge") unless words.between?(1,
      text.scan(WORD).size - 1) && cue.duration

    settling = Glossema::Timing::Settling.new(project.cue_limits)
    ends = settling.frame(cue.start + (cue.duration * Rational(at, text.length)))
    gap = settling.up(project.cue_limits.gap)
    raise Glossema::Refused.new("cue-no-room") unless ends > cue.start && ends + gap < cue.finish

    parted = { "at" => decimal(ends), "gap" => decimal(gap), "words" => words }
    edit_cues({ "act" => "split", "cue" => cue.number, **parted },
      by: by)
  end

  def join_cue(segment, by:)
    cue, _, after = around(segment)
    raise Glossema::Refused.new("join-border") unless after

    following = cues.find { |one, _| one == after }.last
    edit_cues({ "act" => "join", "cue" => cue.number }, by: by) do
      join_translations(segments.reload.find_by(position: segment.position), following.reload, by)
    end
  end

  # Are the times to stay as they are?
  def times_fixed? = project.times_fixed || FORMATS.exclude?(format)

  private

  # [its cue, the one before, the one after]
  def around(segment)
    raise Glossema::Refused.new("times-fixed") if project.times_fixed
    raise Glossema::Refused.new("times-format", name: name,
      formats: FORMATS.join(", ")) if FORMATS.exclude?(format)

    shown = cues
    at = shown.index { |_, one| one == segment } or raise Glossema::Refused.new("film-text", name: name)
    [shown[at].first, (shown[at - 1].first if at.positive?), shown[at + 1]&.first]
  end

  # What cannot be done is refused before anything is kept.
  def edit_cues(edit, by:)
    before = nil
    prepare = lambda do
      before = slice(:by, :options).merge("document_id" => id)
      self.options = options.merge("retimed" => options["retimed"].to_a + [edit])
      opened(as_stored: false)
    end
    recut(by: by, as_stored: true, prepare: prepare) do
      @changed = Operations::CueTimes.record(project, by: by, summary: name, before: before,
        result: { act: edit["act"], cue: edit["cue"] || edit["from"] })
      yield if block_given?
    end
    project.announce("recut")
  end

  # The joined cue has the translation of the first one by now; that of the second follows it, with its
  # history. One that was joined before has its translation of then.
  def join_translations(row, second, by)
    return if second.target_content.blank? || (row.target.present? && row.origin["kind"] != "earlier")

    parts = [row.target_content, moved_codes(second.target_content, row.source_content)].reject(&:blank?)
    whole = parts.reduce { |sum, one| Glossema::Content.new(sum.items + [" "] + one.items) }
    add_history(row, [second])
    row.update!(target: whole.well_formed.written, state: "draft", origin: { kind: "earlier" },
      version: row.version + 1)
    row.remember(by)
  end

  # Exact to the thousandth.
  def decimal(seconds) = Kernel.format("%.3f", seconds.to_r.round(3))
end
