# Base of all records of the work.
class ApplicationRecord < ActiveRecord::Base
  primary_abstract_class
end
