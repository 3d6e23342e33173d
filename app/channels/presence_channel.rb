# Who is where in the text of a project: each page tells which segment is open in it, and hears it of the
# others.
class PresenceChannel < ApplicationCable::Channel
  def subscribed
    @project = user.projects.find_by(id: number)
    @project ? stream_for(@project) : reject
  end

  # data: tab; segment, its number or nil; new: has the page just come, so that the others say where they are?
  def here(data)
    @tab = data["tab"].to_s[0, 80]
    announce("here", name: user.name, user: user.id, segment: data["segment"].to_s[/\A\d{1,18}\z/]&.to_i,
      new: data["new"] == true)
  end

  def unsubscribed
    announce("gone") if @tab
  end

  private

  def announce(event, **details)
    PresenceChannel.broadcast_to(@project, { event: event, tab: @tab, **details })
  end
end
