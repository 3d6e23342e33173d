# The entries of a termbase: searched, added, changed.
module Api
  class TermEntriesController < BaseController
    SECTION = [:lang, :definition, :note].freeze
    TERM = %i[
      text status forbidden recognise cased part_of_speech gender number note example source
    ].freeze
    CONCEPT = %i[definition subject client note source picture].freeze

    TERMS = [{ **TERM.index_with(:text), forbidden: :flag, cased: :flag }].freeze
    takes(**CONCEPT.index_with(:text), sections: [{ **SECTION.index_with(:text), terms: TERMS }],
      text: :text, lang: :text, status: :text, look: :text, page: :number)

    # params: text, lang, subject, status, look narrow the list; page.
    def index
      asked = params.permit(:text, :lang, :subject, :status, :look).to_h.symbolize_keys
      found = termbase.search(**asked)
      page = [params[:page].to_i, 0].max
      rows = found.with_attached_image.offset(page * Termbase::PAGE).limit(Termbase::PAGE)
      render json: { total: found.count, entries: TermEntryResource.new(rows.to_a).to_h }
    end

    def show = answer(TermEntryResource.new(entry))

    def create
      termbase(right: "add")
      record = nil
      made = Glossema::Terms::Entry.from_data(given)
      termbase.record_change(Operations::TermAddition, by: current_user, summary: summary(made)) do |recorder|
        record = recorder.add(made)
      end
      answer(TermEntryResource.new(record), status: :created)
    end

    # What is not given stays as it is.
    def update
      changed = Glossema::Terms::Entry.from_data(TermEntry.merged(entry.data, given))
      entry.termbase.record_change(Operations::TermEdit, by: current_user,
        summary: summary(changed)) do |recorder|
        recorder.change(entry, changed)
      end
      answer(TermEntryResource.new(entry.reload))
    end

    private

    def termbase(right: "view") = @termbase ||= reached(Termbase, params[:termbase_id], right: right)
    def entry = @entry ||= reached_in(TermEntry.there, :termbase, Termbase, params[:id])
    def summary(entry) = entry.terms.first(2).map(&:written).join(" · ")

    # An entry as the page sends it.
    def given
      sections = params[:sections]&.map do |section|
        terms = section[:terms].to_a.map { |term| term.permit(*TERM).to_h }
        { **section.permit(*SECTION).to_h, "terms" => terms.reject { |term| term["text"].to_s.strip.empty? } }
      end
      data = params.permit(*CONCEPT).to_h
      sections ? data.merge("sections" => sections) : data
    end
  end
end
