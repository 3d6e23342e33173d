# Days on which a translator delivers: not at the weekend, in the afternoon.
module WorkingDays
  module_function

  # The time so many working days from now, at the hour given (UTC).
  def after(days, hour: 16)
    time = Time.current.change(hour: hour)
    days.times do
      time += 1.day
      time += 1.day while time.on_weekend?
    end
    time
  end
end
