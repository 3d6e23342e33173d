# Base of all channels.
module ApplicationCable
  class Channel < ActionCable::Channel::Base
  end
end
