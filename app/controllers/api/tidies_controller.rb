# How many units of a memory deserve a look, and why.
module Api
  class TidiesController < BaseController
    def show = render(json: Memory::Tidy.new(current_user.memories.find(params[:memory_id])).counts)
  end
end
