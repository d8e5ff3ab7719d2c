# frozen_string_literal: true

# What of Ruby's own the page's script needs: numbers, texts, lists, times; no files, no processes.

::Object.require "opal/base"
::Object.require "opal/mini"
::Object.require "corelib/math"
::Object.require "time_of_day"
::Object.require "corelib/struct"
::Object.require "corelib/unsupported"
::Object.require "random_as_ruby"
::Object.require "as_ruby_does"
