# What was sent to a service: when, for which project and client, how much, and what came of it.
class MachineRequest < ApplicationRecord
  # As long as no answer was noted.
  SENT = "sent".freeze
  ANSWERED = "ok".freeze

  belongs_to :service, class_name: "MachineService", foreign_key: :machine_service_id, inverse_of: :requests
  belongs_to :project, optional: true

  # count: of the texts that came; refused: why one of the others did not, or nil.
  def answered(count, refused)
    update!(given: count, outcome: refused&.message || ANSWERED, **service.cost_of(characters))
  end

  # An answer that cannot be used was worked for all the same.
  def failed(refused)
    came = refused.code == "machine-answer"
    update!(given: 0, outcome: refused.message, **service.cost_of(came ? characters : 0))
  end
end
