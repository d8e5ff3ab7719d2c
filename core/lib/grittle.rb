# frozen_string_literal: true

# Grittle's core: the rules of hand-texturing soil and all their computation. Plain Ruby, no gem, no standard
# library, no clock, no files. It runs in the page as well, compiled to script: see docs/offline.md for what to mind.
# The front door is grittle/front_door.rb.

require_relative "grittle/desk"
