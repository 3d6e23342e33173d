# Base of all records of the work.
class ApplicationRecord < ActiveRecord::Base
  primary_abstract_class

  include BoundedTexts

  # Those with these values; a filter that is not given filters nothing.
  scope :narrowed, ->(**filters) { where(filters.compact_blank) }
end
