# Base of all channels.
module ApplicationCable
  class Channel < ActionCable::Channel::Base
    delegate :user, to: :connection

    private

    # Of what a page wants to hear: its number, or none.
    def number = params[:id].to_s[/\A\d{1,18}\z/]
  end
end
