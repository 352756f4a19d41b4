package org.zeststack.web.api;

import java.util.List;

/** A field that is one object of numbers and may be left out. */
record ApiObject(String name, List<ApiField> fields, String description) {}
