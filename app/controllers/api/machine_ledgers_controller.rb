# All that was ever sent to services of machine translation, as a file.
module Api
  class MachineLedgersController < BaseController
    include TableWords

    COLUMNS = %w[when service project client texts given characters cost currency outcome].freeze

    def show
      send_data table, filename: "machine-translation.csv", type: "text/csv; charset=utf-8"
    end

    private

    def table
      CSV.generate do |csv|
        csv << COLUMNS.map { |key| word("ledger.#{key}") }
        sent.find_each { |request| csv << row(request) }
      end
    end

    def sent = MachineRequest.where(service: current_user.machine_services).includes(:service, :project)

    def row(request)
      cells = [
        request.created_at.iso8601, request.service.name, request.project&.reference, request.client,
        request.texts, request.given, request.characters, request.cost&.to_s("F"),
        request.currency, request.outcome
      ]
      cells.map { |cell| Glossema::Exchange::Cells.harmless(cell) }
    end
  end
end
