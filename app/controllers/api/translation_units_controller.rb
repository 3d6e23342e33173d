# The units of a memory: searched, read, edited.
module Api
  class TranslationUnitsController < BaseController
    takes text: :text, side: :text, tidy: :text, page: :number, source: :text, target: :text, client: :text,
      subject: :text, author: :text, project: :text, origin: :text

    PAGE = 50

    # params: text, side, facets (client, subject, author, project, origin), tidy, page.
    def index
      found = Memory::Search.new(memory, params)
      units = found.units.order(found.order).offset(PAGE * params[:page].to_i).limit(PAGE + 1).to_a
      render json: { units: rows(units.first(PAGE)), more: units.size > PAGE, count: found.count }
    end

    def show
      versions = unit.versions.includes(operation: :user).where.not(before: nil).order(id: :desc).limit(50)
      render json: {
        unit: TranslationUnitResource.new(unit).to_h,
        versions:
                 versions.map { |version|
                   {
                     id: version.id,
                     source: version.before["source"],
                     target: version.before["target"],
                     author: version.before["changed_by"],
                     at: version.before["updated_at"]
                   }
                 }
      }
    end

    def update
      operation = unit.edit(params.permit(:source, :target, :client, :subject).to_h, by: current_user)
      render json: {
        unit: TranslationUnitResource.new(unit).to_h,
        operation: operation && OperationResource.new(operation).to_h
      }
    end

    private

    # With what the translation has other than that of the unit above, where both have one source.
    def rows(units)
      TranslationUnitResource
        .new(units)
        .to_h
        .each_with_index
        .map do |row, index|
          above =
            (
              if index.positive? && units[index - 1].source_hash == units[index].source_hash
                units[index - 1]
              else
                nil
              end
            )
          row.merge(
            "twin" =>
              (
                if above
                  Glossema::Matching::Score
                    .compare(units[index].target_content, above.target_content)
                    .differences
                    .filter_map { |one| one.source && { from: one.source_span[0], to: one.source_span[1] } }
                else
                  []
                end
              )
          )
        end
    end

    def unit = @unit ||= reached_in(TranslationUnit, :memory, Memory, params[:id])
    def memory = @memory ||= reached(Memory, params[:memory_id])
  end
end
