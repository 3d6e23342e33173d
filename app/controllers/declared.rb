# Every controller says which parameters it takes and of what shape; others do not reach it. What is in the
# address itself is the number of something unless it says otherwise.
module Declared
  extend ActiveSupport::Concern

  UNTOUCHED = %w[controller action format].freeze

  included do
    class_attribute :shapes, default: {}
    before_action :read_declared
    rescue_from(Shape::Wrong) { |error| refuse("not-valid.shape", name: error.name) }
  end

  class_methods do
    # fields: {name: shape}, see Shape.
    def takes(**fields) = self.shapes = shapes.merge(fields).freeze
  end

  private

  def read_declared
    addressed = request.path_parameters.transform_keys(&:to_s)
    given = params.to_unsafe_h.except(*addressed.keys)
    read = [addressed.slice(*UNTOUCHED), Shape.read(shapes, given), of_address(addressed.except(*UNTOUCHED))]
    self.params = ActionController::Parameters.new(read.reduce(:merge))
  end

  # What is not there is not found.
  def of_address(names)
    Shape.read(names.to_h { |name, _| [name, shapes.fetch(name.to_sym, :id)] }, names)
  rescue Shape::Wrong
    raise ActiveRecord::RecordNotFound
  end
end
