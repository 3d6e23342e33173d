# What a unit was before an operation; before is nil where the operation made it.
class TranslationUnitVersion < ApplicationRecord
  belongs_to :unit, class_name: "TranslationUnit", optional: true, inverse_of: :versions
  belongs_to :operation, inverse_of: :unit_versions
end
