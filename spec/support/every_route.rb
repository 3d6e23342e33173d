# Every route of the API, with the numbers of one thing of each kind: a new route is here at once, and fails
# until it can be told whose number it takes. Included where `all` is an Everything.
module EveryRoute
  # Addresses with a number that names nothing of a person, and those that whoever has no account needs.
  OPEN = %w[
    password_resets#create password_resets#update invitations#show session#create sessions#create users#create
  ].freeze

  Route = Struct.new(:verb, :path, :controller, :action, :named, keyword_init: true) do
    def open? = OPEN.include?("#{controller}##{action}")
    def shapes = "Api::#{controller.camelize}Controller".constantize.shapes
  end

  def every_route
    @every_route ||= Rails.application.routes.routes
      .select { |route| route.path.spec.to_s.start_with?("/api/") }.map { |route| made(route) }
  end

  # What the block does leaves nothing.
  def leaving_nothing
    ActiveRecord::Base.transaction(requires_new: true) do
      yield
      raise ActiveRecord::Rollback
    end
  end

  private

  def made(route)
    controller, action = route.defaults[:controller].delete_prefix("api/"), route.defaults[:action]
    numbers = OPEN.include?("#{controller}##{action}") ? Hash.new("x") : all.numbers
    given = route.required_parts.to_h { |part|
      name = part == :id ? controller : part.to_s
      [part, numbers[name] || raise(KeyError, name)]
    }
    Route.new(verb: route.verb.downcase.to_sym, path: route.format(given), controller: controller,
      action: action, named: given.any?)
  end
end
