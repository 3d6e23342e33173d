# What was sent to a service: when, for which project and client, how much, and what came of it.
class MachineRequest < ApplicationRecord
  belongs_to :service, class_name: "MachineService", foreign_key: :machine_service_id, inverse_of: :requests
  belongs_to :project, optional: true
end
