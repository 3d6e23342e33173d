# How many units of a memory deserve a look, and why.
module Api
  class TidiesController < BaseController
    def show = render(json: Memory::Tidy.new(reached(Memory, params[:memory_id])).counts)
  end
end
