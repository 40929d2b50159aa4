#!/usr/bin/env node
import '../bundle/main.js';
