# The one page the interface lives in.
class ShellController < ApplicationController
  layout false

  def show
    response.headers["cache-control"] = "no-store"
  end

  def up = head(:ok)
end
