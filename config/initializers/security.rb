# What a page may load: its own scripts, styles, fonts and pictures only.
Rails.application.config.content_security_policy do |policy|
  policy.default_src :self
  policy.img_src :self, :data, :blob
  policy.font_src :self, :data
  policy.style_src :self, :unsafe_inline
  policy.connect_src :self, "ws:", "wss:"
  policy.object_src :none
  policy.frame_ancestors :none
end
Rails.application.config.filter_parameters += %i[password target]
