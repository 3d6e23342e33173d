# What is otherwise in a newer version of a file, for the client, as a workbook: words by how much of them
# stood in the one before, and each place before and after.
class Document::VersionReport
  include TableWords

  BANDS = ["unchanged", *Glossema::Counting::Bands::NAMES.drop(3)].freeze
  HEADER = %w[number what likeness before now words].freeze
  WIDTHS = [8, 12, 12, 56, 56, 8].freeze

  # Raises Refused "nothing-before" for a document that takes no other's place.
  def initialize(document)
    raise Glossema::Refused.new("nothing-before", name: document.name) unless document.replaces_id

    @document, @old = document, document.replaced.segments.to_a
    @fresh = document.contents_by_unit
    @revision = Glossema::Revision.new(@document.places_of(@old), @fresh)
  end

  def name = "#{File.basename(@document.name, ".*")} #{word("names.changes")}.xlsx"

  # {band => {"segments", "words"}}, those of BANDS there are.
  def bands
    rows = @revision.links.map { |link| [band(link), words(@fresh[link.index].content)] }
    BANDS.index_with { |name| rows.select { |band, _| band == name }.map(&:last) }
      .reject { |_, list| list.empty? }
      .transform_values { |list| { "segments" => list.size, "words" => list.sum } }
  end

  def xlsx
    TablesAsWorkbook.new
      .add("words", %w[what segments words meaning], [16, 12, 12, 80], table)
      .add("places", HEADER, WIDTHS, changed + gone).bytes
  end

  private

  def band(link)
    return "unchanged" if link.kind == :same

    link.kind == :new ? "new" : Glossema::Counting::Bands.for_score(link.score)
  end

  def words(content) = Glossema::Counting::Count.count(content).words

  def table
    rows = bands.map do |name, sum|
      [named(name), sum["segments"], sum["words"], I18n.t("versions.bands.#{name}")]
    end
    left = @revision.gone.map { |index| @old[index] }
    rows << [word("gone"), left.size, left.sum(&:words), I18n.t("versions.gone")] if left.any?
    rows << [word("all"), *%w[segments words].map { |what| bands.values.sum { |sum| sum[what] } }, ""]
  end

  def named(band) = band == "unchanged" ? word(band) : band_name(band)

  def changed
    @revision.links.reject { |link| link.kind == :same }.map do |link|
      now = @fresh[link.index].content
      before = link.old && @old[link.old].source_content.text
      [link.index + 1, link.kind == :new ? named("new") : word("changed"), link.score, before, now.text,
       words(now)]
    end
  end

  def gone
    @revision.gone.map { |index|
      [nil, word("gone"), nil, @old[index].source_content.text, nil, @old[index].words]
    }
  end
end
