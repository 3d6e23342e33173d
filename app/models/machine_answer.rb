# What a service gave for a text, kept so that it is not asked twice.
class MachineAnswer < ApplicationRecord
  belongs_to :service, class_name: "MachineService", foreign_key: :machine_service_id, inverse_of: :answers
end
