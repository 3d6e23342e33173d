# The history of a segment, newest first.
module Api
  class VersionsController < BaseController
    takes target: :text, origin: { kind: :text, score: :number }, beside: :id

    # A wording that gave way to another stays in the past of its segment. params: target, origin.
    def create
      version =
        segment.versions.create!(
          user: current_user,
          target: params[:target].to_s,
          state: "draft",
          origin: params.fetch(:origin, { kind: "typed" }).permit(:kind, :score).to_h
        )
      answer(VersionResource.new(version), status: :created)
    end

    # params: beside: a version of it; each of the others then says how it differs from that one.
    def index
      versions = segment.versions.includes(:user).reorder(id: :desc).limit(100).to_a
      beside = versions.find { |version| version.id == params[:beside].to_i }
      rows = VersionResource.new(versions).to_h
      render json: rows.zip(versions).map { |row, version|
        row.merge(differing(version, beside), edited(version))
      }
    end

    private

    # How far a version is from what the machine gave, in percent.
    def edited(version)
      return {} unless version.origin["kind"] == "machine" && given

      { edited: Glossema::Machine::PostEditing.change(given, version.content) }
    end

    def given
      return @given if defined?(@given)

      @given = Project::PostEditing.new(segment.project).given([segment])[segment]
    end

    def differing(version, beside)
      content = version.content
      return { text: content.text } unless beside

      comparison = Glossema::Matching::Score.compare(content, beside.content)
      { text: content.text, differences: comparison.differences.map(&:to_h) }
    end

    def segment = @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
  end
end
